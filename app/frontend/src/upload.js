// A list goes up as it is; the server says what of it was taken, or what is wrong with it.
import { put, state } from './server.js';

// A file that somebody brings is held against what was handed over; it is looked at and not kept.
document.addEventListener('change', async (event) => {
  const input = event.target.closest('input[type=file][data-compare]');
  const file = input?.files[0];
  if (!file) return;
  const said = document.querySelector('[data-compare-say]');
  said.textContent = 'Looking…';
  try {
    const answer = await fetch(input.dataset.compare, {
      method: 'POST',
      headers: { 'X-CSRF-TOKEN': document.querySelector('meta[name=csrf]').content, 'X-Keying': '1', 'Content-Type': 'application/octet-stream' },
      body: file,
    });
    said.textContent = await answer.text();
  } catch {
    said.textContent = 'Not reaching the server: choose the file again when it is back.';
  }
  input.value = '';
});

document.addEventListener('change', async (event) => {
  const input = event.target.closest('input[type=file][data-upload]');
  const file = input?.files[0];
  if (!file) return;
  const said = document.querySelector('[data-upload-say]');
  said.textContent = '';
  state('keeping');
  try {
    const answer = await fetch(input.dataset.upload, {
      method: 'POST',
      headers: { 'X-CSRF-TOKEN': document.querySelector('meta[name=csrf]').content, 'X-Keying': '1', 'Content-Type': 'application/octet-stream' },
      body: file,
    });
    const text = await answer.text();
    if (answer.ok) put(text, true);
    else said.textContent = text;
    state('kept');
  } catch {
    state('away');
    said.textContent = 'Not reaching the server: choose the list again when it is back.';
  }
  input.value = '';
});
