// Corners of a line inked on the face: touched on the plan's drawing while its field is open, they are written into it.
import { spot } from './drag.js';

let down = null;
document.addEventListener('pointerdown', (event) => (down = { x: event.clientX, y: event.clientY }), true);

document.addEventListener('click', (event) => {
  const svg = event.target.closest?.('[data-supports] svg.face');
  const field = svg && document.querySelector('details#bands[open] [data-ink]');
  // A support that was dragged is no corner; one that only lies there may be under one.
  const dragged = down && Math.hypot(event.clientX - down.x, event.clientY - down.y) > 3;
  if (!field || dragged) return;
  const thou = svg.closest('[data-supports]').dataset.unit === 'THOU';
  const at = spot(svg, event);
  const write = (mm) => (thou ? (mm / 25.4).toFixed(2) : mm.toFixed(0));
  field.value += `${field.value.trim() ? ', ' : ''}${write(Math.max(0, at.x))} ${write(Math.max(0, at.y))}`;
});
