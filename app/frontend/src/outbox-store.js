// Where the outbox lies: the browser's own database, one list for all windows. Whatever it refuses is told to the caller.
import { openDB } from 'idb';

const NAME = 'homalon';
const LISTS = 'outbox';

let open;
function database() {
  open ??= openDB(NAME, 1, {
    upgrade: (db) => db.createObjectStore(LISTS, { keyPath: 'seq', autoIncrement: true }).createIndex('person', 'person'),
    blocking: (_current, _blocked, event) => event.target.close(),
    terminated: () => (open = undefined),
  }).catch((refused) => {
    open = undefined;
    throw refused;
  });
  return open;
}

/** What waits of everybody who keyed at this browser, in the order in which it was keyed. */
export async function everything() {
  return (await database()).getAll(LISTS);
}

/** @returns the number under which it lies; refused when the store is full, forbidden or gone */
export async function keep(reading) {
  const db = await database();
  const turn = db.transaction(LISTS, 'readwrite', { durability: 'strict' });
  const seq = await turn.store.add(reading);
  await turn.done;
  return seq;
}

export async function change(reading) {
  await (await database()).put(LISTS, reading);
}

export async function drop(seq) {
  await (await database()).delete(LISTS, seq);
}

/** Asks the browser not to throw the store away when its disk runs full. */
export function lasting() {
  navigator.storage?.persist?.().catch(() => {});
}
