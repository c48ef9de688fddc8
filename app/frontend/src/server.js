// One way to talk to the server in the background, and one place that says whether it can be reached.

export function uuid() {
  if (crypto.randomUUID) return crypto.randomUUID();
  const b = crypto.getRandomValues(new Uint8Array(16));
  b[6] = (b[6] & 0x0f) | 0x40;
  b[8] = (b[8] & 0x3f) | 0x80;
  const hex = [...b].map((x) => x.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** Names this page, so that it does not answer to what it wrote itself. */
export const thisPage = uuid();

const words = { kept: 'all kept', keeping: 'keeping…', away: 'not reaching the server' };

export function state(name, detail = '') {
  const status = document.getElementById('status');
  if (!status) return;
  status.dataset.state = name;
  status.textContent = detail || words[name];
}

export async function post(url, fields) {
  const answer = await fetch(url, {
    method: 'POST',
    headers: { 'X-CSRF-TOKEN': document.querySelector('meta[name=csrf]')?.content ?? '', 'X-Keying': '1', 'X-Page': thisPage },
    body: new URLSearchParams(fields),
    redirect: 'manual',
    signal: AbortSignal.timeout(8000),
  });
  return { status: answer.type === 'opaqueredirect' ? 401 : answer.status, place: answer.headers.get('X-Place'), text: await answer.text() };
}

/** A long list is not laid out anew for the one row that changed; what only this page marks on a row stays. */
function putRows(there, fresh) {
  for (const { name, value } of fresh.attributes) if (there.getAttribute(name) !== value) there.setAttribute(name, value);
  const rows = [...fresh.children];
  [...there.children].forEach((row, i) => {
    const marked = row.querySelector('[aria-current]');
    marked?.removeAttribute('aria-current');
    if (!row.isEqualNode(rows[i])) row.replaceWith(rows[i]);
    else marked?.setAttribute('aria-current', '');
  });
}

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

/** Puts the parts of an answer where parts with the same id stand on the page; false when more has changed than was told. */
export function put(html) {
  const page = new DOMParser().parseFromString(html, 'text/html');
  const open = new Set([...document.querySelectorAll('details[open][id]')].map((d) => d.id));
  let behind = false;
  for (const part of page.querySelectorAll('[data-live]')) {
    const there = document.getElementById(part.id);
    if (!there) continue;
    const fresh = document.importNode(part, true);
    if (fresh.dataset.from !== undefined) {
      behind = !putOne(there, fresh) || behind;
      continue;
    }
    if (there.tagName === 'OL' && there.childElementCount === fresh.childElementCount) {
      putRows(there, fresh);
      continue;
    }
    if (there.isEqualNode(fresh)) continue;
    there.replaceWith(fresh);
    fresh.querySelectorAll('details[id]').forEach((d) => open.has(d.id) && (d.open = true));
    if (fresh.querySelector('[hx-get], [hx-post]')) window.htmx.process(fresh);
  }
  document.dispatchEvent(new CustomEvent('homalon:put'));
  return !behind;
}

/** A fresh token after the session was renewed elsewhere. */
export async function renewToken() {
  const answer = await fetch(location.href, { headers: { Accept: 'text/html' } });
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  const fresh = page.querySelector('meta[name=csrf]')?.content;
  // Another person's session must not take this one's readings.
  const same = page.body.dataset.person !== undefined && page.body.dataset.person === document.body.dataset.person;
  if (fresh && same) document.querySelector('meta[name=csrf]').content = fresh;
  return Boolean(fresh && same);
}
