// Where the outbox lies: the browser's own database, one list for all windows. Whatever it refuses is told to the caller. What waits is
// written under a key of its person, which the server hands out and this device forgets at sign-out (where the browser has keys: not on
// an address without TLS).
import { openDB } from 'idb';

const NAME = 'homalon';
const LISTS = 'outbox';
const KEYS = 'keys';
const CIPHER = 'AES-GCM';

let open;
function database() {
  open ??= openDB(NAME, 2, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore(LISTS, { keyPath: 'seq', autoIncrement: true }).createIndex('person', 'person');
      db.createObjectStore(KEYS);
    },
    blocking: (_current, _blocked, event) => event.target.close(),
    terminated: () => (open = undefined),
  }).catch((refused) => {
    open = undefined;
    throw refused;
  });
  return open;
}

/** Whose key is here; empty when nobody's is. */
export async function holder() {
  return (await (await database()).getAllKeys(KEYS))[0] ?? '';
}

/** A key that writes and reads, and cannot be taken out again. */
export const keyOf = (raw) => crypto.subtle.importKey('raw', raw, CIPHER, false, ['encrypt', 'decrypt']);

/** Asks for the person's key once, and keeps it while that person is signed in here; what somebody else left open is closed. */
export async function unlock(person) {
  if ((await holder()) === person) return;
  await forget();
  if (!crypto.subtle) return;
  const answer = await fetch('/person/device-key', { redirect: 'manual' }).catch(() => null);
  if (answer?.ok) await (await database()).put(KEYS, await keyOf(await answer.arrayBuffer()), person);
}

/** Pages go, and the key under which what was not sent is written; that stays, for its person alone. */
export async function forget() {
  navigator.serviceWorker?.controller?.postMessage({ gone: true });
  await globalThis.caches?.delete('pages');
  await (await database()).clear(KEYS);
}

async function sealed({ seq, person, ...rest }, key) {
  const known = seq === undefined ? { person } : { seq, person };
  if (!key) return { ...known, ...rest };
  const iv = crypto.getRandomValues(new Uint8Array(12));
  return { ...known, iv, sealed: await crypto.subtle.encrypt({ name: CIPHER, iv }, key, new TextEncoder().encode(JSON.stringify(rest))) };
}

async function opened({ iv, sealed: text, ...known }, keys) {
  if (!text) return known;
  const key = keys.get(known.person);
  const plain = key && (await crypto.subtle.decrypt({ name: CIPHER, iv }, key, text).catch(() => null));
  return plain ? { ...known, ...JSON.parse(new TextDecoder().decode(plain)) } : null;
}

async function keyHere(person) {
  return (await database()).get(KEYS, person);
}

/**
 * What waits of everybody who keyed at this browser and whose key is here, in the order in which it was keyed.
 *
 * @param keys further ones, by person
 */
export async function everything(keys = new Map()) {
  const db = await database();
  const here = new Map(keys);
  for (const person of await db.getAllKeys(KEYS)) here.set(person, await db.get(KEYS, person));
  return (await Promise.all((await db.getAll(LISTS)).map((r) => opened(r, here)))).filter(Boolean);
}

let turn = Promise.resolve();
/** @returns the number under which it lies; refused when the store is full, forbidden or gone */
export function keep(reading) {
  // One after the other: the order in which they were keyed is the order in which they go.
  const mine = turn.then(() => keepNow(reading));
  turn = mine.catch(() => {});
  return mine;
}

async function keepNow(reading) {
  const line = await sealed(reading, await keyHere(reading.person));
  const writing = (await database()).transaction(LISTS, 'readwrite', { durability: 'strict' });
  const seq = await writing.store.add(line);
  await writing.done;
  return seq;
}

export async function change(reading) {
  await (await database()).put(LISTS, await sealed(reading, await keyHere(reading.person)));
}

export async function drop(seq) {
  await (await database()).delete(LISTS, seq);
}

/** Asks the browser not to throw the store away when its disk runs full. */
export function lasting() {
  navigator.storage?.persist?.().catch(() => {});
}
