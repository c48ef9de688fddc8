// A photo goes up as it is, byte by byte; the server decides what of it is kept.
import { put, state, uuid } from './server.js';

document.addEventListener('change', async (event) => {
  const input = event.target.closest('input[type=file][data-photo]');
  const file = input?.files[0];
  if (!file) return;
  const said = input.closest('form').querySelector('.say');
  const note = input.closest('form').elements.note.value;
  said.textContent = '';
  state('keeping');
  try {
    const answer = await fetch(`${input.dataset.photo}?id=${uuid()}&note=${encodeURIComponent(note)}`, {
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
    said.textContent = 'Not reaching the server: choose the photo again when it is back.';
  }
  input.value = '';
});
