// A file goes up as it is, byte by byte; the server says what of it is kept, or what is wrong with it.
import { put, send, state, uuid } from './server.js';

/** After this something takes long, ms. */
const LONG = 1000;

/**
 * Shows how far it is; the bar asks on by itself until something else stands in its place. It comes into a place of its own, so that
 * an answer later than that something finds none and is dropped.
 */
function howFar({ dataset }) {
  const place = document.createElement('p');
  const asks = { 'hx-get': dataset.progress, 'hx-trigger': 'load', 'hx-target': 'this', 'hx-swap': 'outerHTML' };
  for (const [name, value] of Object.entries(asks)) place.setAttribute(name, value);
  document.getElementById(dataset.said).replaceChildren(place);
  window.htmx.process(place);
}

document.addEventListener('change', async ({ target }) => {
  const input = target.closest('input[type=file][data-file]');
  const file = input?.files[0];
  if (!file) return;
  const said = document.getElementById(input.dataset.said);
  const note = input.form?.elements.note?.value ?? '';
  said.textContent = input.dataset.wait ?? '';
  const bar = input.dataset.progress && setTimeout(() => howFar(input), LONG);
  state('keeping');
  try {
    const answer = await send(`${input.dataset.file}?${new URLSearchParams({ id: uuid(), note })}`, file);
    const text = await answer.text();
    // Either the parts of the page that it changes, or a sentence.
    const parts = answer.ok && text.trimStart().startsWith('<');
    said.textContent = parts ? (input.dataset.done ?? '') : text;
    if (parts) put(text, true);
    state('kept');
  } catch {
    state('away');
    said.textContent = 'Not reaching the server: choose the file again when it is back.';
  }
  clearTimeout(bar);
  input.value = '';
});

// htmx would keep a link that it listens to from being followed: how far a download is is asked for beside it.
document.addEventListener('click', ({ target }) => {
  const link = target.closest('a[data-progress]');
  if (link) setTimeout(() => howFar(link), LONG);
});
