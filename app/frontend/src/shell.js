// Keys that work everywhere, switches of unit and theme, help, and forms that must not be sent twice.
import { chord, field, plain, typing } from './keys.js';
import { put, reached, state, uuid } from './server.js';

/** Where a letter stands for the same on every page. */
const EVERYWHERE = { '?': '[data-open-keys]', '/': '#find' };
/** After g, so that no slip of the hand turns the unit of what is being keyed; find from a reading field as well. */
const AFTER_G = { u: '[data-switch=unit]', d: '[data-switch=theme]', '/': '#find' };

document.addEventListener('keydown', (event) => {
  const { key } = event;
  if (!plain(event) || event.defaultPrevented) return;
  if (key === 'Escape') field()?.blur();
  // A figure and a slash go into the keying field.
  if (typing() || (!chord.begun && field() && /[/1-9]/.test(key))) return;
  const named = (what) => document.querySelector(`[data-${what}="${CSS.escape(key)}"]`);
  let there = named('letter') ?? named('number');
  if (EVERYWHERE[key]) there = document.querySelector(EVERYWHERE[key]);
  if (chord.begun) there = AFTER_G[key] ? document.querySelector(AFTER_G[key]) : named('go');
  if (there || key === 'g') event.preventDefault();
  if (there?.matches('input')) there.focus();
  else there?.click();
  chord.begun = key === 'g' && !chord.begun;
  if (chord.begun) setTimeout(() => (chord.begun = false), 1500);
});

// What was refused is marked where it was keyed, and the hand goes to the first of it.
for (const said of [...document.querySelectorAll('[data-wrong]')].reverse()) {
  const at = document.getElementsByName(said.dataset.wrong)[0];
  at?.setAttribute('aria-invalid', 'true');
  at?.setAttribute('aria-describedby', said.id);
  at?.closest('details')?.setAttribute('open', '');
  at?.focus();
}

// Enter goes on with the page's main button; a phone would scroll down to it, past what one came to read.
document.querySelector('[data-focus]')?.focus({ preventScroll: true });

/** Whoever goes by keys never loses the page: where the hand was is gone, it is held by the work as a whole. */
function held() {
  if (document.activeElement === document.body) (document.querySelector('[autofocus]') ?? document.getElementById('main'))?.focus({ preventScroll: true });
}
held();
document.addEventListener('focusout', () => setTimeout(held));
document.addEventListener('homalon:put', held);

/** On a narrow screen the strip is longer than the page: the step in hand is brought into sight. */
function stepInSight() {
  for (const here of document.querySelectorAll('.strip [aria-current], .walks [aria-current]')) {
    here.parentElement.scrollLeft = Math.max(0, here.offsetLeft - here.parentElement.offsetLeft - 90);
  }
}
stepInSight();
document.addEventListener('homalon:put', (event) => event.detail.includes('strip') && stepInSight());

document.addEventListener('click', ({ target }) => {
  const sign = target.closest('svg [data-href]')?.dataset.href;
  if (sign) location.href = sign;
  if (target.closest('[data-open-keys]')) document.getElementById('keys')?.showModal();
  if (target.closest('[data-print]')) window.print();
});
// Whatever asks shows whether the server is there, and that it is there again.
document.addEventListener('htmx:sendError', () => state('away'));
document.addEventListener('htmx:afterOnLoad', reached);

/** The form that was sent is on the page anew: the hand stays where it was. One that stays is emptied for the next. */
function handBack(form) {
  if (form.dataset.toKey !== undefined && window.keying) window.keying.input.focus();
  else if (form.isConnected) {
    if (form.dataset.tap !== undefined) {
      form.reset();
      form.querySelector('[data-tap-words]')?.replaceChildren('Marked. Go on with the next one.');
    }
    form.querySelector('.say')?.replaceChildren();
  } else {
    const all = [...document.querySelectorAll('form[data-live]')];
    const next = all.find((f) => f.action === form.action) ?? all[0];
    next?.querySelector('input:not([type=hidden]), select, button')?.focus({ preventScroll: true });
  }
}

/** Says beside what was keyed why it was not taken, and leads to where that is lifted. */
function refuse(form, words, lead) {
  const there = document.createElement('a');
  Object.assign(there, { href: lead, textContent: 'Open the route' });
  const said = form.querySelector('.say') ?? form.appendChild(Object.assign(document.createElement('p'), { className: 'say w-full', role: 'alert' }));
  said.replaceChildren(words, ...(lead ? [' ', there] : []));
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

// Forms are sent by htmx. A live one changes parts of its page; another leads to a page, and stays where it is when it is refused.
const sent = (type, act) =>
  document.addEventListener(`htmx:${type}`, (event) => {
    const form = event.detail.requestConfig?.elt ?? event.detail.elt;
    if (form.tagName === 'FORM') act(event.detail, form, form.dataset.live !== undefined);
  });
sent('configRequest', (detail, form, live) => live && (detail.timeout = Number(form.dataset.patience ?? 8000)));
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
['sendError', 'timeout'].forEach((type) => sent(type, (detail, form) => refuse(form, NOT_SENT)));

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

let echoing;
/** Says at once what a field's text is taken for. */
export function echo(input, output) {
  clearTimeout(echoing);
  echoing = setTimeout(async () => {
    const typed = input.value;
    const asked = new URLSearchParams({ size: input.dataset.size !== undefined, typed });
    const answer = typed.trim() ? await fetch(`/echo?${asked}`, { headers: { 'X-Keying': '1' } }).catch(() => null) : null;
    const words = answer?.ok ? await answer.text() : '';
    if (input.value === typed) output.textContent = words;
  }, 60);
}
document.addEventListener('input', (event) => {
  const output = event.target.dataset?.echo && document.getElementById(event.target.dataset.echo);
  if (output) echo(event.target, output);
});
