// Hands on a drawing of a face: a mark dragged, ends of a crack tapped, corners of a line inked, supports moved. Coordinates are the
// casting's own millimetres, y upwards.

/** Place on the face under the pointer, mm. */
export function spot(svg, event) {
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  return { x: p.x, y: Number(svg.dataset.height) - p.y };
}

/**
 * @param pick gives the mark under the pointer, or nothing
 * @param dropped told the mark and where it was let go
 */
export function draggable(pick, dropped) {
  let drag = null;
  document.addEventListener('pointerdown', (event) => {
    const mark = pick(event);
    drag = mark ? { mark, svg: mark.closest('svg'), from: spot(mark.closest('svg'), event), moved: false } : null;
    if (drag) event.preventDefault();
  });
  document.addEventListener('pointermove', (event) => {
    if (!drag) return;
    const now = spot(drag.svg, event);
    const [dx, dy] = [now.x - drag.from.x, now.y - drag.from.y];
    drag.moved ||= Math.hypot(dx, dy) > 2;
    if (drag.moved) drag.mark.setAttribute('transform', `translate(${dx} ${-dy})`);
  });
  document.addEventListener('pointerup', (event) => {
    const was = drag;
    drag = null;
    if (!was?.moved) return;
    was.mark.removeAttribute('transform');
    dropped(was.mark, spot(was.svg, event));
  });
}

/** As the plan's fields have it. */
function written(mm, digits) {
  const thou = document.querySelector('[data-supports]').dataset.unit === 'THOU';
  return thou ? (mm / 25.4).toFixed(2) : mm.toFixed(digits);
}

// A support that was moved: its two fields are written and the set-ups worked out again.
draggable(
  (event) => event.target.closest?.('[data-supports] [data-place]'),
  (mark, at) => {
    const j = Number(mark.dataset.place.split('-')[1]);
    const form = document.getElementById('supports').closest('form');
    form.querySelectorAll('[name="along"]')[j].value = written(at.x, 1);
    form.querySelectorAll('[name="across"]')[j].value = written(at.y, 1);
    form.requestSubmit();
  },
);

// Corners of a line inked on the face, while its field is open. A support that was dragged is no corner.
let down = null;
document.addEventListener('pointerdown', (event) => (down = event), true);

function ink(svg, event) {
  const field = document.querySelector('details#bands[open] [data-ink]');
  if (!field || (down && Math.hypot(event.clientX - down.clientX, event.clientY - down.clientY) > 3)) return;
  const at = spot(svg, event);
  const corner = [at.x, at.y].map((mm) => written(Math.max(0, mm), 0)).join(' ');
  field.value = [field.value.trim(), corner].filter(Boolean).join(', ');
}

// The first tap is the one end, the second the other.
let taps = [];

function tap(form, at) {
  const two = form.elements.x2 !== undefined;
  taps = two && taps.length === 1 ? [...taps, at] : [at];
  [1, 2].slice(0, two ? 2 : 1).forEach((n) => {
    form.elements[`x${n}`].value = taps[n - 1]?.x.toFixed(2) ?? '';
    form.elements[`y${n}`].value = taps[n - 1]?.y.toFixed(2) ?? '';
  });
  const words = form.querySelector('[data-tap-words]');
  if (!words) return;
  const [a, b] = taps;
  if (!two) words.textContent = 'place marked';
  else if (!b) words.textContent = 'One end marked: tap the other end.';
  else words.textContent = `Both ends marked, ${Math.hypot(a.x - b.x, a.y - b.y).toFixed(0)} mm apart on the drawing.`;
}

document.addEventListener('click', (event) => {
  const svg = event.target.closest?.('svg.face');
  const form = svg?.closest('[data-tap-on]') && document.querySelector('form[data-tap]');
  if (form) tap(form, spot(svg, event));
  if (svg?.closest('[data-supports]')) ink(svg, event);
});
