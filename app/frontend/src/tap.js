// Taps on a drawing fill in where something is: the first tap its one end, the second the other. Coordinates are the casting's
// own millimetres, y upwards.
import { spot } from './drag.js';

let taps = [];

document.addEventListener('click', (event) => {
  const svg = event.target.closest('[data-tap-on] svg.face');
  const form = svg && document.querySelector('form[data-tap]');
  if (!form) return;
  const two = form.elements.x2 !== undefined;
  taps = two && taps.length === 1 ? [taps[0], spot(svg, event)] : [spot(svg, event)];
  taps.forEach((t, i) => {
    form.elements[`x${i + 1}`].value = t.x.toFixed(2);
    form.elements[`y${i + 1}`].value = t.y.toFixed(2);
  });
  if (two && taps.length === 1) form.elements.x2.value = form.elements.y2.value = '';
  const words = form.querySelector('[data-tap-words]');
  if (!words) return;
  if (!two) words.textContent = 'place marked';
  else if (taps.length === 1) words.textContent = 'One end marked: tap the other end.';
  else {
    const [a, b] = taps;
    words.textContent = `Both ends marked, ${Math.hypot(a.x - b.x, a.y - b.y).toFixed(0)} mm apart on the drawing.`;
    taps = [];
  }
});
