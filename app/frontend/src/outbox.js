// What was keyed and is not kept by the server yet: one list per person, in order, in the browser's own store, so that a lost
// network, a reload or a flat battery loses nothing. Any window sends it on, one window at a time. Each reading carries its id:
// sent twice, it is stored once. When the store refuses, the hand is stopped until the server has what was keyed.
import * as store from './outbox-store.js';
import { post, renewToken, state, whatWaits } from './server.js';

const LONGEST_WAIT = 30_000;
/** Answers that say "later": nothing is wrong with the reading. */
const LATER = [0, 408, 425, 429];
const STOPPED =
  'This browser keeps nothing, and what was keyed last is not with the server yet. Leave this page open and wait; then key this one.';

export class Outbox {
  constructor(person) {
    this.person = person;
    this.list = [];
    this.listeners = new Map();
    this.away = '';
    this.tries = 0;
    this.refusing = false;
    this.windows = new BroadcastChannel(`homalon-outbox-${person}`);
    this.windows.addEventListener('message', (e) => this.heard(e.data));
    window.addEventListener('online', () => this.wake());
    window.addEventListener('beforeunload', (e) => this.unstored().length && e.preventDefault());
    this.read = false;
    // Until the store was read nobody knows that nothing waits.
    whatWaits(() => !this.read || this.list.length > 0);
    this.loaded = this.load();
  }

  async load() {
    await store.unlock(this.person).catch(() => {});
    await this.takeOver();
    await this.reload();
    this.read = true;
    this.tell();
    this.handOver();
    if (this.next()) this.send();
  }

  /** Readings of the version before lay in another store of the browser. */
  async takeOver() {
    const old = `homalon:outbox:${this.person}`;
    try {
      for (const r of JSON.parse(localStorage.getItem(old)) ?? []) await store.keep({ person: this.person, url: r.url, fields: r.fields });
      localStorage.removeItem(old);
    } catch {
      // They stay where they are for the next try.
    }
  }

  /** The store's list, and behind it what the store has not taken. */
  async reload() {
    try {
      const kept = (await store.everything()).filter((r) => r.person === this.person);
      const known = new Set(kept.map((r) => r.fields.id));
      this.list = [...kept, ...this.unstored().filter((r) => !known.has(r.fields.id))];
    } catch {
      this.refusing = true;
    }
  }

  unstored() {
    return this.list.filter((r) => r.seq === undefined);
  }

  next() {
    return this.list.find((r) => !r.answer);
  }

  /** Readings on their way to one address. */
  waiting(url) {
    return this.list.filter((r) => r.url === url && !r.answer);
  }

  /** Why nothing more is taken for now; empty when it is. */
  stopped() {
    return this.refusing && this.unstored().some((r) => !r.answer) ? STOPPED : '';
  }

  add(url, fields) {
    const reading = { person: this.person, url, fields, keyed: Date.now() };
    this.list.push(reading);
    if (!this.away) state('keeping');
    this.keep(reading);
    this.send();
  }

  async keep(reading) {
    try {
      const seq = await store.keep(reading);
      this.refusing = false;
      const waiting = this.list.find((r) => r.fields.id === reading.fields.id);
      // It may have been answered while it was stored.
      if (waiting) waiting.seq = seq;
      else await store.drop(seq);
      store.lasting();
      if (this.away) this.tellAway();
      this.windows.postMessage({ changed: true });
    } catch {
      this.refusing = true;
      this.tellAway();
    }
  }

  /** Counts as waiting here only what the store has taken: a page closed that moment loses the rest. */
  tellAway() {
    const waiting = this.list.filter((r) => !r.answer);
    const stored = waiting.filter((r) => r.seq !== undefined).length;
    if (this.stopped()) state('away', `this browser keeps nothing: leave this page open, ${waiting.length} not kept yet`);
    else if (this.away) state('away', stored ? `${this.away}: ${stored} waiting here` : this.away);
  }

  async remove(reading) {
    this.list = this.list.filter((r) => r.fields.id !== reading.fields.id);
    if (reading.seq !== undefined) await store.drop(reading.seq).catch(() => {});
  }

  /** kept(answer) and refused(fields, answer) are called for readings of that address, also for those refused before. */
  listen(url, listener) {
    this.listeners.set(url, listener);
    this.loaded.then(() => this.handOver());
  }

  /** Gives back what was refused while no page of its address was open. */
  async handOver() {
    for (const r of this.list.filter((one) => one.answer && this.listeners.has(one.url))) {
      await this.remove(r);
      this.listeners.get(r.url).refused(r.fields, r.answer);
    }
    this.tell();
  }

  /** What another window says of the list they share. */
  async heard(message) {
    await this.reload();
    this.wakeUp?.();
    if (message.kept) {
      this.list = this.list.filter((r) => r.fields.id !== message.kept.id);
      this.listeners.get(message.kept.url)?.kept(message.kept.answer);
    }
    await this.handOver();
  }

  wake() {
    this.tries = 0;
    this.wakeUp?.();
    this.send();
  }

  /** One window sends at a time, so that the order stays; the others wait for their turn and find it done. */
  async send() {
    if (this.sending) return;
    this.sending = true;
    try {
      if (navigator.locks) await navigator.locks.request(`homalon-outbox-${this.person}`, () => this.drain());
      else await this.drain();
    } finally {
      this.sending = false;
    }
    if (this.next() && !this.signedOut) this.send();
  }

  async drain() {
    let renewed = '';
    this.signedOut = false;
    for (let next = this.next(); next; next = this.next()) {
      if (!this.away) state('keeping');
      const answer = await post(next.url, next.fields, next.keyed).catch(() => ({ status: 0, text: '' }));
      if (answer.status === 200 || answer.status === 204) {
        this.reached();
        await this.taken(next, answer);
      } else if (answer.status === 403 && renewed !== next.fields.id && (await renewToken().catch(() => false))) {
        renewed = next.fields.id;
      } else if (answer.status === 401 || (answer.status === 403 && renewed !== next.fields.id)) {
        this.away = 'sign in again';
        this.signedOut = true;
        this.tellAway();
        return;
      } else if (answer.status >= 500 || LATER.includes(answer.status)) {
        this.away = answer.status === 0 ? 'not reaching the server' : 'the server is busy';
        this.tellAway();
        await this.later(answer);
      } else {
        this.reached();
        await this.giveBack(next, answer);
      }
    }
    this.tell();
  }

  reached() {
    this.away = '';
    this.tries = 0;
  }

  /** Longer and longer, and not all benches at the same moment. */
  later(answer) {
    const asked = Number(answer.retryAfter) * 1000 || 0;
    const wait = Math.max(asked, Math.min(LONGEST_WAIT, 1000 * 2 ** this.tries) * (0.5 + Math.random() / 2));
    this.tries += 1;
    return new Promise((ok) => {
      const timer = setTimeout(ok, wait);
      this.wakeUp = () => {
        clearTimeout(timer);
        ok();
      };
    });
  }

  async taken(reading, answer) {
    await this.remove(reading);
    this.windows.postMessage({ kept: { id: reading.fields.id, url: reading.url, answer } });
    this.listeners.get(reading.url)?.kept(answer);
  }

  /** Nothing will make the server take it as it is: back to whoever keyed it, or marked until that page is opened. */
  async giveBack(reading, answer) {
    if (this.listeners.has(reading.url)) {
      await this.remove(reading);
      this.listeners.get(reading.url).refused(reading.fields, answer);
      return;
    }
    reading.answer = { status: answer.status, text: answer.text };
    if (reading.seq !== undefined) await store.change(reading).catch(() => {});
    this.windows.postMessage({ changed: true });
  }

  /** Says where something waits for an answer, or that all is kept. */
  tell() {
    const refused = this.list.find((r) => r.answer);
    if (refused) state('away', `a reading of ${refused.url.split('/')[2]} was not taken: open it`);
    else if (!this.next()) state('kept');
  }
}

const person = document.body.dataset.person;
export const outbox = person ? new Outbox(person) : null;
