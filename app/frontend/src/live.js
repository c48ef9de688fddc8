// What happens elsewhere: another person's readings, and the values of a wireless indicator.
import { changed, put, reached, state, thisPage } from './server.js';
import { stream } from './stream.js';

const KEY = 'homalon:gauge';
const SILENT = 6000;

class Live {
  constructor() {
    for (const { dataset } of document.querySelectorAll('[data-part]')) {
      stream.listen(`part-${dataset.part}`, (words) => {
        const asks = document.querySelector('[data-lays]');
        if (words === thisPage) return;
        if (asks) window.htmx.trigger(asks, 'ask');
        else this.lookSoon();
      });
    }
    if (document.querySelector('[data-gauge]')) stream.listen('gauge', (words) => window.gauge?.heard(JSON.parse(words)));
    // Where readings are keyed it is looked without being told too: the stream may be down.
    if (window.keying?.root.dataset.look) setInterval(() => this.look(), 4000);
  }

  /** Somebody wrote on this part: one look, however many lines it was. */
  lookSoon() {
    clearTimeout(this.soon);
    this.soon = setTimeout(() => this.look(), 300);
  }

  /** What is new is laid in, unless a hand is in one of its forms or something is on its way. */
  async look() {
    const busy = () => window.keying?.waiting().size;
    const walk = window.keying?.root.dataset.look;
    const form = document.activeElement?.closest('[data-live] form');
    if (document.hidden || busy() || (!walk && form && changed(form))) return this.lookSoon();
    const url = walk ? `${walk}?seen=${document.getElementById('walk')?.dataset.version ?? -1}` : location.href;
    try {
      const answer = await fetch(url, { headers: { 'X-Keying': '1' }, redirect: 'manual' });
      if (!answer.ok) return;
      if (answer.status !== 204 && !busy()) put(await answer.text());
      reached();
    } catch {
      state('away');
    }
  }
}

class Gauge {
  constructor(root) {
    this.root = root;
    this.linked = localStorage.getItem(KEY) ?? '';
    this.last = null;
    this.lost = 0;
    root.querySelector('[data-gauge-use]').addEventListener('click', () => this.link(this.last?.gauge ?? ''));
    root.querySelector('[data-gauge-leave]').addEventListener('click', () => this.link(''));
    document.addEventListener('keydown', (e) => this.key(e), true);
    setInterval(() => this.show(), 1000);
  }

  part(name) {
    return this.root.querySelector(`[data-gauge-${name}]`);
  }

  link(name) {
    this.linked = name;
    localStorage.setItem(KEY, name);
    this.show();
    window.keying?.input.focus();
  }

  get silent() {
    return !this.last || Date.now() - this.at > SILENT;
  }

  heard(value) {
    if (this.linked && value.gauge !== this.linked) return;
    this.last = value;
    this.at = Date.now();
    this.lost += value.missed;
    if (this.linked && value.unitChanged) {
      this.warned = `${value.gauge} now sends ${value.unit}: look at its switch. Space still takes the value.`;
    }
    this.show();
    if (this.linked && value.button && !value.unitChanged) this.take();
  }

  show() {
    const near = this.last && !this.silent;
    this.root.hidden = !this.linked && !near;
    if (this.root.hidden) return;
    this.root.toggleAttribute('data-linked', Boolean(this.linked));
    this.root.dataset.silent = String(this.silent);
    this.part('name').textContent = this.linked || this.last.gauge;
    this.part('value').textContent = near ? this.last.typed.replace(/(mm|um|in)$/, ' $1') : 'silent';
    const notes = [];
    if (near && this.last.battery <= 10) notes.push(`battery ${this.last.battery} %`);
    if (this.lost) notes.push(`${this.lost} ${this.lost === 1 ? 'line' : 'lines'} lost on the way`);
    if (this.warned) notes.push(this.warned);
    this.part('note').textContent = notes.join(' · ');
  }

  /** The foot pedal types a blank. */
  key(event) {
    const input = window.keying?.input;
    if (event.key !== ' ' || !this.linked || document.activeElement !== input || input.value !== '') return;
    event.preventDefault();
    event.stopPropagation();
    if (this.silent) window.keying.say('The gauge is silent: move it or press its button, or key the value.');
    else this.take();
  }

  take() {
    const keying = window.keying;
    if (!keying || document.hidden || keying.input.value !== '') return;
    this.warned = '';
    keying.enterAs(this.last.typed);
  }
}

const root = document.querySelector('[data-gauge]');
if (root) window.gauge = new Gauge(root);
window.live = new Live();
