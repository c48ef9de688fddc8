// A device away from the net: which pages its worker keeps, for whom, and that nothing of them can be read once that person has signed out.
import * as store from './outbox-store.js';
import { renewToken, token } from './server.js';

const person = document.body.dataset.person ?? '';
const OWED = 'homalon-owes-a-sign-out';

/** Whether the server has ended the session, or had none: any other answer leaves it open. */
async function heard() {
  const answer = await fetch('/sign-out', { method: 'POST', headers: { 'X-CSRF-TOKEN': token(), 'X-Keying': '1' }, redirect: 'manual' }).catch(() => null);
  return answer?.type === 'opaqueredirect' || answer?.status === 401;
}

/** Signed out on this device at once; the server hears it now, or when it is in reach again. */
async function signOut() {
  await store.forget().catch(() => {});
  localStorage.setItem(OWED, person);
  // A page that was kept here may have a token that is none any more.
  if ((await heard()) || ((await renewToken().catch(() => false)) && (await heard()))) localStorage.removeItem(OWED);
  location.replace('/sign-in?out');
}

/** A page of the door that opened later, in another tab too, has left this one's token behind: the one that holds now goes with the form. */
async function signIn(form) {
  const text = await fetch('/sign-in', { headers: { Accept: 'text/html' } }).then((a) => (a.ok ? a.text() : '')).catch(() => '');
  const now = new DOMParser().parseFromString(text, 'text/html').querySelector('input[name=_csrf]')?.value;
  if (now) form.querySelector('input[name=_csrf]').value = now;
  form.submit();
}

document.addEventListener('submit', (event) => {
  const { pathname } = new URL(event.target.action);
  if (pathname === '/sign-in') {
    // Whoever signs in has a session of its own: nothing is owed for the one before.
    localStorage.removeItem(OWED);
    event.preventDefault();
    signIn(event.target);
  }
  if (pathname !== '/sign-out') return;
  event.preventDefault();
  signOut();
});

/** Castings in hand: the bench's, and every step of the one that is open. */
function inHand() {
  const links = document.querySelectorAll('.strip a[href^="/parts/"], a.next-row');
  return ['/', location.pathname, ...new Set([...links].map((a) => new URL(a.href).pathname))];
}

async function begin() {
  if (person && localStorage.getItem(OWED) === person) return signOut();
  if (!person) await store.forget().catch(() => {});
  if (!navigator.serviceWorker) return;
  await navigator.serviceWorker.register('/worker.js');
  const worker = (await navigator.serviceWorker.ready).active;
  if (person && !document.documentElement.dataset.stood) setTimeout(() => worker.postMessage({ ahead: inHand() }), 2000);
}
begin();
