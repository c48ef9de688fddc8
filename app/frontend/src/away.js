// A device away from the net: which pages its worker keeps, for whom, and that nothing of them can be read once that person has signed out.
import * as store from './outbox-store.js';
import { token } from './server.js';

const person = document.body.dataset.person ?? '';
const OWED = 'homalon-owes-a-sign-out';

/** Signed out on this device at once; the server hears it now, or when it is in reach again. */
async function signOut() {
  await store.forget().catch(() => {});
  localStorage.setItem(OWED, '1');
  const heard = await fetch('/sign-out', { method: 'POST', headers: { 'X-CSRF-TOKEN': token() } }).catch(() => null);
  if (heard) localStorage.removeItem(OWED);
  location.replace('/sign-in?out');
}

document.addEventListener('submit', (event) => {
  if (new URL(event.target.action).pathname !== '/sign-out') return;
  event.preventDefault();
  signOut();
});

/** Castings in hand: the bench's, and every step of the one that is open. */
function inHand() {
  const links = document.querySelectorAll('.strip a[href^="/parts/"], a.next-row');
  return ['/', location.pathname, ...new Set([...links].map((a) => new URL(a.href).pathname))];
}

async function begin() {
  if (person && localStorage.getItem(OWED)) return signOut();
  if (!person) await store.forget().catch(() => {});
  if (!navigator.serviceWorker) return;
  await navigator.serviceWorker.register('/worker.js');
  const worker = (await navigator.serviceWorker.ready).active;
  if (person && !document.documentElement.dataset.stood) setTimeout(() => worker.postMessage({ ahead: inHand() }), 2000);
}
begin();
