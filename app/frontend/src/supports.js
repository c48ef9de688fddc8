// Moving a support on the plan's drawing: writes the two fields and has the set-ups worked out again.
import { draggable } from './drag.js';

draggable(
  (event) => event.target.closest?.('[data-supports] [data-place]'),
  (mark, spot) => {
    const j = Number(mark.dataset.place.split('-')[1]);
    const form = document.getElementById('supports').closest('form');
    const thou = document.querySelector('[data-supports]').dataset.unit === 'THOU';
    const write = (mm) => (thou ? (mm / 25.4).toFixed(2) : mm.toFixed(1));
    form.querySelectorAll('[name="along"]')[j].value = write(spot.x);
    form.querySelectorAll('[name="across"]')[j].value = write(spot.y);
    form.requestSubmit();
  },
);
