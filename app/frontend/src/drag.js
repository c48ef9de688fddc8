// Dragging a mark over a drawing of a face.

/** Place on the face under the pointer, mm. */
export function spot(svg, event) {
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  return { x: p.x, y: Number(svg.dataset.height) - p.y };
}

/**
 * @param pick gives the mark under the pointer, or nothing
 * @param dropped told the mark, where it was let go, and how far it went
 */
export function draggable(pick, dropped) {
  let drag = null;
  document.addEventListener('pointerdown', (event) => {
    const mark = pick(event);
    drag = mark ? { mark, from: spot(mark.closest('svg'), event), moved: false } : null;
    if (drag) event.preventDefault();
  });
  document.addEventListener('pointermove', (event) => {
    if (!drag) return;
    const now = spot(drag.mark.closest('svg'), event);
    const dx = now.x - drag.from.x;
    const dy = now.y - drag.from.y;
    drag.moved ||= Math.hypot(dx, dy) > 2;
    if (drag.moved) drag.mark.setAttribute('transform', `translate(${dx} ${-dy})`);
  });
  document.addEventListener('pointerup', (event) => {
    const was = drag;
    drag = null;
    if (!was?.moved) return;
    was.mark.removeAttribute('transform');
    const now = spot(was.mark.closest('svg'), event);
    dropped(was.mark, now, { x: now.x - was.from.x, y: now.y - was.from.y });
  });
}
