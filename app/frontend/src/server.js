// One way to talk to the server in the background, and one place that says whether it can be reached.
import morphdom from 'morphdom';
import { v4 as uuid } from 'uuid';

export { uuid };

export const token = () => document.querySelector('meta[name=csrf]')?.content ?? '';

/** Names this page, so that it does not answer to what it wrote itself. */
export const thisPage = uuid();

const words = { kept: 'all kept', keeping: 'keeping…', away: 'not reaching the server' };

/** Whether something keyed is not with the server yet; told by the outbox, so that nobody else says all is kept. */
let waits = () => false;
export function whatWaits(asked) {
  waits = asked;
}

/** When the page was written by the server, where this device showed it from what it keeps. */
let stood = Number(document.documentElement.dataset.stood ?? 0);
const asItStood = () => `not reaching the server: as it stood at ${new Date(stood).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;

export function state(name, detail = '') {
  const status = document.getElementById('status');
  if (!status) return;
  if (stood && name !== 'keeping') show(status, 'away', detail || asItStood());
  else if (name !== 'kept' || !waits()) show(status, name, detail || words[name]);
}

/** At the top of the page, and beside the field where the top is out of sight. */
function show(status, name, text) {
  for (const e of [status, ...document.querySelectorAll('[data-status-too]')]) {
    e.dataset.state = name;
    e.textContent = text;
  }
}

/** The server answered again. */
export function reached() {
  stood = 0;
  if (document.getElementById('status')?.dataset.state === 'away') state('kept');
}

/**
 * @param keyed when it was keyed, by this device's clock: what waited was not measured when it arrives
 * @param by whose it is, when an owner accepts what somebody else keyed
 */
export async function post(url, fields, keyed = 0, by = '') {
  const ago = keyed ? { 'X-Keyed-Ago': String(Math.max(0, Date.now() - keyed)) } : {};
  const answer = await fetch(url, {
    method: 'POST',
    headers: { 'X-CSRF-TOKEN': token(), 'X-Keying': '1', 'X-Page': thisPage, ...ago, ...(by && { 'X-Keyed-By': by }) },
    body: new URLSearchParams(fields),
    redirect: 'manual',
    signal: AbortSignal.timeout(8000),
  });
  return { status: answer.type === 'opaqueredirect' ? 401 : answer.status, place: answer.headers.get('X-Place'), seen: answer.headers.get('X-Seen'), retryAfter: answer.headers.get('Retry-After'), lead: answer.headers.get('X-Lead'), text: await answer.text() };
}

/**
 * Sends one change and lays in what it changes on the page.
 *
 * @param say is told why it was not taken, and an empty sentence when it was
 * @returns the answer; null when there was none
 */
export async function change(url, fields, say, sent = false) {
  state('keeping');
  const answer = await post(url, fields).catch(() => null);
  if (answer?.status === 200) put(answer.text, sent);
  if (answer) say(answer.status === 200 ? '' : answer.text);
  state(answer ? 'kept' : 'away');
  return answer;
}

/** A file, or a part of one, as it is. */
export function send(url, body) {
  return fetch(url, { method: 'POST', headers: { 'X-CSRF-TOKEN': token(), 'X-Keying': '1', 'Content-Type': 'application/octet-stream' }, body });
}

/** Whether anything in a form is otherwise than the server wrote it: typed, ticked or chosen. */
export function changed(form) {
  return [...form.elements].some((f) => {
    if (f.type === 'hidden') return false;
    if (f.type === 'checkbox' || f.type === 'radio') return f.checked !== f.defaultChecked;
    if (f.tagName === 'SELECT') return f.selectedIndex !== Math.max(0, [...f.options].findIndex((o) => o.defaultSelected));
    return ['INPUT', 'TEXTAREA'].includes(f.tagName) && f.value !== f.defaultValue;
  });
}

/** A form in which somebody is busy is left alone by what comes from elsewhere. */
const inUse = (form) => form.contains(document.activeElement) || changed(form);

/** Changes what differs and leaves the rest where it is: a place read moves a few figures and lines of a map, not the casting. */
const changing = {
  // A form that has a field named "id" answers with that field when asked for its own.
  getNodeKey: (node) => node.getAttribute?.('id') || node.dataset?.place,
  onBeforeElUpdated: (there, fresh) => {
    if (there.tagName === 'FORM') {
      if (!inUse(there)) there.replaceWith(fresh.cloneNode(true));
      return false;
    }
    if (there.tagName === 'DETAILS') fresh.open = there.open;
    return !there.isEqualNode(fresh);
  },
};

/**
 * One row of a list that stood at the version before; another page may have written between, then the whole list is wanted.
 */
function putOne(there, fresh) {
  const row = fresh.firstElementChild;
  const old = row && there.querySelector(`[data-place="${CSS.escape(row.firstElementChild.dataset.place)}"]`)?.parentNode;
  if (!old || there.dataset.version !== fresh.dataset.from) return false;
  old.replaceWith(row);
  there.dataset.version = fresh.dataset.version;
  return true;
}

/**
 * Puts the parts of an answer where parts with the same id stand on the page; false when more has changed than was told.
 *
 * @param sent a form's own answer puts a part in place of the old one, with what was typed there gone
 */
export function put(html, sent = false) {
  const page = new DOMParser().parseFromString(html, 'text/html');
  let behind = false;
  const replaced = [];
  document.dispatchEvent(new CustomEvent('homalon:putting', { detail: page }));
  for (const fresh of page.querySelectorAll('[data-live]:not(form)')) {
    const there = document.getElementById(fresh.id);
    if (!there) continue;
    if (fresh.dataset.from !== undefined) {
      behind = !putOne(there, fresh) || behind;
    } else if (!there.isEqualNode(fresh)) {
      if (sent) {
        replace(there, fresh);
        replaced.push(fresh.id);
      } else morphdom(there, fresh, changing);
      const now = document.getElementById(fresh.id);
      if (now.querySelector('[hx-get], [hx-post], [hx-boost]')) window.htmx.process(now);
    }
  }
  document.dispatchEvent(new CustomEvent('homalon:put', { detail: replaced }));
  return !behind;
}

function replace(there, fresh) {
  const open = new Set([...there.querySelectorAll('details[open][id]')].map((d) => d.id));
  there.replaceWith(fresh);
  fresh.querySelectorAll('details[id]').forEach((d) => open.has(d.id) && (d.open = true));
}

/** A fresh token after the session was renewed elsewhere. */
export async function renewToken() {
  const answer = await fetch(location.href, { headers: { Accept: 'text/html' }, redirect: 'manual' });
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  const fresh = page.querySelector('meta[name=csrf]')?.content;
  // Another person's session must not take this one's readings.
  const same = page.body.dataset.person !== undefined && page.body.dataset.person === document.body.dataset.person;
  if (fresh && same) document.querySelector('meta[name=csrf]').content = fresh;
  return Boolean(fresh && same);
}
