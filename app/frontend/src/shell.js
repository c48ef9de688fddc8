// Keys that work everywhere, switches of unit and theme, help, and forms that must not be sent twice.
import { post, put, state, uuid } from './server.js';

const typing = (el) => el && (el.matches('input, textarea, select') || el.isContentEditable);
const emptyKey = (el) => el && el.matches('input.key') && el.value === '';

let chord = false;

document.addEventListener('keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
  const el = document.activeElement;
  if (typing(el) && !emptyKey(el)) {
    if (event.key === 'Escape') el.blur();
    return;
  }
  if (chord) {
    chord = false;
    const there = document.querySelector(`[data-go="${CSS.escape(event.key)}"]`);
    if (there) {
      event.preventDefault();
      there.click();
    }
    return;
  }
  if (event.key === '/' && !typing(el)) {
    event.preventDefault();
    document.getElementById('find')?.focus();
  } else if (event.key === 'g') {
    event.preventDefault();
    chord = true;
    setTimeout(() => (chord = false), 1500);
  } else if (event.key === 'u' || event.key === 'd') {
    const button = document.querySelector(event.key === 'u' ? '[data-switch=unit]' : '[data-switch=theme]');
    if (button) {
      event.preventDefault();
      button.click();
    }
  } else if (/^[a-z]$/.test(event.key) && document.querySelector(`[data-letter="${event.key}"]`)) {
    event.preventDefault();
    const it = document.querySelector(`[data-letter="${event.key}"]`);
    if (it.matches('input')) it.focus();
    else it.click();
  } else if (event.key === '?') {
    event.preventDefault();
    document.getElementById('keys')?.showModal();
  } else if (/^[1-9]$/.test(event.key) && !typing(el)) {
    document.querySelector(`[data-number="${event.key}"]`)?.click();
  } else if (event.key === 'Escape' && typing(el)) {
    el.blur();
  }
});

// Enter goes on with the page's main button; a phone would scroll down to it, past what one came to read.
document.addEventListener('DOMContentLoaded', () => {
  document.querySelector('[data-focus]')?.focus({ preventScroll: true });
});

/** On a narrow screen the strip is longer than the page: the step in hand is brought into sight. */
function stepInSight() {
  const here = document.querySelector('.strip [aria-current]');
  if (here) here.parentElement.scrollLeft = Math.max(0, here.offsetLeft - here.parentElement.offsetLeft - 90);
}
document.addEventListener('DOMContentLoaded', stepInSight);
document.addEventListener('homalon:put', (event) => event.detail.includes('strip') && stepInSight());

document.addEventListener('click', async (event) => {
  const button = event.target.closest('[data-switch]');
  if (button) {
    const answer = await post(button.dataset.url, { to: button.dataset.to }).catch(() => null);
    if (answer?.status === 204) location.reload();
    else state('away');
  }
  const sign = event.target.closest('svg [data-href]')?.dataset.href;
  if (sign) location.href = sign;
  if (event.target.closest('[data-open-keys]')) document.getElementById('keys')?.showModal();
  if (event.target.closest('[data-print]')) window.print();
});

/** The form that was sent is on the page anew: the hand stays where it was. One that stays is emptied for the next. */
function handBack(form) {
  if (form.dataset.toKey !== undefined && window.keying) {
    window.keying.input.focus();
    return;
  }
  if (form.isConnected) {
    if (form.dataset.tap !== undefined) {
      form.reset();
      const words = form.querySelector('[data-tap-words]');
      if (words) words.textContent = 'Marked. Go on with the next one.';
    }
    form.querySelector('.say')?.replaceChildren();
    return;
  }
  const again = [...document.querySelectorAll('form[data-live]')].filter((f) => f.action === form.action);
  const next = again[0] ?? document.querySelector('form[data-live]');
  next?.querySelector('input:not([type=hidden]), select, button')?.focus({ preventScroll: true });
}

/** Says beside what was keyed why it was not taken, and leads to where that is lifted. */
function refuse(form, words, lead) {
  let said = form.querySelector('.say');
  if (!said) {
    said = document.createElement('p');
    said.className = 'say w-full';
    said.setAttribute('role', 'alert');
    form.append(said);
  }
  said.textContent = words;
  if (lead) {
    const there = document.createElement('a');
    there.href = lead;
    there.textContent = 'Open the route';
    said.append(' ', there);
  }
  said.scrollIntoView({ block: 'nearest' });
}

/** The sentence of an answer, which some pages write into a page of their own. */
function sentence(xhr) {
  if (xhr.status === 401) return 'You are signed out: sign in in another window, then send this again.';
  if (!xhr.responseText.trimStart().startsWith('<')) return xhr.responseText;
  const page = new DOMParser().parseFromString(xhr.responseText, 'text/html');
  return page.querySelector('.said')?.textContent.trim() || 'That was not taken: look at what is keyed, and send it again.';
}

const NOT_SENT = 'Not sent: the server is not reached. What you keyed stands here; send it again.';
const MOST_MS = 8000;

// Forms are sent by htmx. A live one changes parts of its page; another leads to a page, and stays where it is when it is refused.
const sent = (type, act) =>
  document.addEventListener(`htmx:${type}`, (event) => {
    const form = event.detail.requestConfig?.elt ?? event.detail.elt;
    if (form.tagName === 'FORM') act(event.detail, form, form.dataset.live !== undefined);
  });
sent('configRequest', (detail, form, live) => {
  if (live) detail.timeout = MOST_MS;
});
sent('beforeRequest', (detail, form, live) => live && state('keeping'));
sent('beforeSwap', (detail, form, live) => {
  const lays = form.dataset.lays !== undefined;
  if (!detail.boosted && !lays) return;
  detail.shouldSwap = false;
  if (!(live || lays) || detail.xhr.status >= 300) return;
  if (lays) form.querySelector('.say').textContent = '';
  if (form.dataset.after) location.href = form.dataset.after;
  else put(detail.xhr.responseText, live);
});
sent('afterRequest', ({ xhr }, form, live) => {
  const lays = form.dataset.lays !== undefined;
  form.querySelectorAll('input[data-new-id]').forEach((input) => (input.value = ''));
  if (xhr.status >= 400 && lays) form.querySelector('.say').textContent = sentence(xhr);
  else if (xhr.status >= 400) refuse(form, sentence(xhr), xhr.getResponseHeader('X-Lead'));
  else if (live && xhr.status && !form.dataset.after) handBack(form);
  if (live || lays) state((xhr.status && xhr.status < 400) || xhr.status === 422 ? 'kept' : 'away');
});
sent('sendError', (detail, form) => refuse(form, NOT_SENT));
sent('timeout', (detail, form) => refuse(form, NOT_SENT));

// Before anybody sends it; one that the browser sends itself goes once.
document.addEventListener(
  'submit',
  (event) => {
    const form = event.target;
    form.querySelectorAll('input[data-new-id]').forEach((input) => (input.value ||= uuid()));
    if (form.hasAttribute('hx-sync') || form.method !== 'post') return;
    if (form.dataset.sent) event.preventDefault();
    form.dataset.sent = '1';
  },
  true,
);
window.addEventListener('pageshow', () => document.querySelectorAll('form[data-sent]').forEach((f) => delete f.dataset.sent));

// What a field's text was taken for, said at once.
let echoing;
export function echo(input, output) {
  clearTimeout(echoing);
  echoing = setTimeout(async () => {
    const typed = input.value;
    if (!typed.trim() || typed.trim() === '/' || typed.trim() === '*') {
      output.textContent = '';
      return;
    }
    try {
      const size = input.dataset.size !== undefined;
      const answer = await fetch(`/echo?size=${size}&typed=${encodeURIComponent(typed)}`, { headers: { 'X-Keying': '1' } });
      const text = await answer.text();
      if (answer.ok && input.value === typed) output.textContent = text;
    } catch {
      output.textContent = '';
    }
  }, 60);
}
document.addEventListener('input', (event) => {
  const output = event.target.dataset?.echo && document.getElementById(event.target.dataset.echo);
  if (output) echo(event.target, output);
});
