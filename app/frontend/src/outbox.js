// What was keyed and is not kept yet: one list per person, in order, in the browser's own store, so that a lost network, a
// reload or a flat battery loses nothing. Any page sends it on. Each reading carries its id: sent twice, it is stored once.
import { post, renewToken, state } from './server.js';

const REFUSED = [404, 409, 413, 422];
const wait = (ms) => new Promise((ok) => setTimeout(ok, ms));

class Outbox {
  constructor(person) {
    this.key = `homalon:outbox:${person}`;
    this.memory = [];
    this.listeners = new Map();
    this.busy = false;
    this.away = '';
    window.addEventListener('online', () => this.send());
    if (this.read().length) this.send();
  }

  read() {
    try {
      return JSON.parse(localStorage.getItem(this.key)) ?? [];
    } catch {
      return this.memory;
    }
  }

  write(list) {
    this.memory = list;
    try {
      localStorage.setItem(this.key, JSON.stringify(list));
    } catch {
      // A browser that keeps nothing still has what is in memory.
    }
  }

  /** Readings on their way to one address. */
  waiting(url) {
    return this.read().filter((r) => r.url === url && !r.answer);
  }

  add(url, fields) {
    this.write([...this.read(), { url, fields }]);
    if (this.away) this.tellAway();
    else state('keeping');
    this.send();
  }

  tellAway() {
    state('away', `${this.away}: ${this.read().length} waiting here`);
  }

  remove(id) {
    this.write(this.read().filter((r) => r.fields.id !== id));
  }

  /** kept(answer) and refused(fields, answer) are called for readings of that address, also for those refused before. */
  listen(url, listener) {
    this.listeners.set(url, listener);
    for (const r of this.read().filter((one) => one.url === url && one.answer)) {
      this.remove(r.fields.id);
      listener.refused(r.fields, r.answer);
    }
    this.tell();
  }

  async send() {
    if (this.busy) return;
    this.busy = true;
    try {
      // Two windows may send the same reading at once: it is stored once, and taken off the list by both.
      await this.drain();
    } finally {
      this.busy = false;
    }
  }

  async drain() {
    let renewed = '';
    for (let next = this.next(); next; next = this.next()) {
      if (!this.away) state('keeping');
      const answer = await post(next.url, next.fields).catch(() => ({ status: 0, text: '' }));
      const id = next.fields.id;
      if (answer.status > 0 && answer.status < 500) this.away = '';
      if (answer.status === 200) {
        this.remove(id);
        this.listeners.get(next.url)?.kept(answer);
      } else if (REFUSED.includes(answer.status) || (answer.status === 403 && renewed === id)) {
        this.giveBack(next, answer);
      } else if (answer.status === 403 && (await renewToken().catch(() => false))) {
        renewed = id;
      } else if (answer.status === 401 || answer.status === 403) {
        this.away = 'sign in again';
        this.tellAway();
        return;
      } else {
        this.away = 'not reaching the server';
        this.tellAway();
        await wait(1500);
      }
    }
    this.tell();
  }

  next() {
    return this.read().find((r) => !r.answer);
  }

  giveBack(reading, answer) {
    const listener = this.listeners.get(reading.url);
    if (listener) {
      this.remove(reading.fields.id);
      listener.refused(reading.fields, answer);
    } else {
      const told = { status: answer.status, text: answer.text };
      this.write(this.read().map((r) => (r.fields.id === reading.fields.id ? { ...r, answer: told } : r)));
    }
  }

  /** Says where something waits for an answer, or that all is kept. */
  tell() {
    const refused = this.read().find((r) => r.answer);
    if (refused) state('away', `a reading of ${refused.url.split('/')[2]} was not taken: open it`);
    else if (!this.next()) state('kept');
  }
}

const person = document.body.dataset.person;
export const outbox = person ? new Outbox(person) : null;
