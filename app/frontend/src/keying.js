// The one keying component: a field and a walk of places; what is keyed goes to the outbox. The walk is written by the
// server (#walk); this only moves along it.
import { chord, plain } from './keys.js';
import { outbox } from './outbox.js';
import { change, put, uuid } from './server.js';
import { echo } from './shell.js';

/** What a key does by itself on the empty field. */
const EMPTY = {
  '/': (k) => k.enterAs('/'),
  Backspace: (k) => k.step(-1),
  ArrowUp: (k) => k.step(-1),
  k: (k) => k.step(-1),
  ArrowDown: (k) => k.step(1),
  j: (k) => k.step(1),
  z: (k) => k.undo(),
  // What was keyed last and has not gone yet is not what would be given.
  '=': (k) => outbox.waiting(k.url).length || document.querySelector('[data-all-same]')?.click(),
};

export class Keying {
  constructor(root) {
    this.root = root;
    this.input = root.querySelector('input.key');
    this.url = root.dataset.url;
    this.asked = null;
    this.last = '';
    this.at = null;
    /** Keys that say something by themselves on an empty field. */
    this.shots = root.dataset.shots ?? '';
    this.input.addEventListener('keydown', (e) => this.key(e));
    this.input.addEventListener('input', () => this.typed());
    root.querySelectorAll('.keypad button').forEach((b) => b.addEventListener('click', () => this.pad(b.dataset.pad)));
    root.querySelector('[data-undo]')?.addEventListener('click', () => this.undo());
    root.querySelector('[data-show-keypad]')?.addEventListener('click', () => {
      root.dataset.keypad = root.dataset.keypad === 'on' ? 'off' : 'on';
      this.showKeys();
    });
    document.addEventListener('click', (e) => this.clicked(e));
    document.addEventListener('homalon:putting', (e) => this.mark(e.detail));
    document.addEventListener('homalon:put', () => this.follow());
    const wanted = new URLSearchParams(location.search).get('place');
    this.go(wanted && this.entry(wanted) ? wanted : this.firstOpen());
    // A walk that is through leaves the hand to the page's main button, where there is one.
    if (this.root.dataset.complete !== 'true' || wanted || !document.querySelector('[data-focus]')) this.input.focus();
    this.showKeys();
    outbox.loaded.then(() => this.waiting().has(this.at) && this.input.value === '' && this.go(this.firstOpen()));
    outbox.listen(this.url, { kept: (answer) => this.kept(answer), refused: (fields, answer) => this.giveBack(fields, answer) });
  }

  /** The whole keypad above the strip, where there is one. */
  showKeys() {
    this.root.querySelector('.keypad')?.scrollIntoView?.({ block: 'nearest' });
  }

  entries() {
    return [...document.querySelectorAll('#walk [data-place]')];
  }

  entry(id) {
    return this.entries().find((e) => e.dataset.place === id);
  }

  /** Places with a reading on its way. */
  waiting() {
    return new Set(outbox.waiting(this.url).map((r) => r.fields.place));
  }

  firstOpen() {
    const waiting = this.waiting();
    const open = this.entries().find((e) => e.dataset.state === 'open' && !waiting.has(e.dataset.place));
    return (open ?? this.entries().at(-1))?.dataset.place;
  }

  go(id) {
    if (!id) return;
    this.at = id;
    this.show();
  }

  step(by) {
    const all = this.entries();
    const next = all[Math.max(0, Math.min(all.length - 1, all.indexOf(this.entry(this.at)) + by))];
    if (next) this.go(next.dataset.place);
  }

  /**
   * Somebody else logged the pass that was to come: the next one is asked for, unless a hand is on it. The walk was through and one more
   * is asked, such as the blade that settles most: the hand goes there.
   */
  follow() {
    const open = this.entry(this.at)?.dataset.state === 'open';
    const free = this.input.value === '' && !this.waiting().size;
    const more = this.wasThrough && this.entries().find((e) => e.dataset.state === 'open');
    if (free && this.wasOpen && !open && this.root.dataset.follow !== undefined) this.advance();
    else if (free && more) this.go(more.dataset.place);
    else this.show();
  }

  /** After a reading: the next open place, else stay on the last. */
  advance() {
    const all = this.entries();
    const i = all.indexOf(this.entry(this.at));
    const waiting = this.waiting();
    const open = (e) => e.dataset.state === 'open' && e.dataset.place !== this.at && !waiting.has(e.dataset.place);
    const next = all.slice(i + 1).find(open) ?? all.find(open) ?? all[i + 1];
    if (next) this.at = next.dataset.place;
    this.show(outbox.waiting(this.url).length > 0 && !outbox.away);
  }

  /**
   * @param drawLater while an answer is on its way that changes the drawing too: it is drawn once then, and not twice on the
   *     processor that works the answer out; at once when the answer takes long
   */
  show(drawLater = false) {
    let here = this.entry(this.at);
    if (!here) {
      this.at = this.firstOpen();
      here = this.entry(this.at);
    }
    if (!here) return;
    const all = this.entries();
    const text = (name, value) => {
      const el = this.root.querySelector(`[data-show=${name}]`);
      if (el) el.textContent = value;
    };
    text('name', here.dataset.name);
    text('count', `${this.root.dataset.noun} ${all.indexOf(here) + 1} of ${all.length}`);
    text('now', here.dataset.value ? `now: ${here.dataset.value}` : here.dataset.state === 'skipped' ? 'skipped' : '');
    text('note', here.dataset.note ?? '');
    this.root.querySelectorAll('[data-show=blade]').forEach((el) => (el.textContent = here.dataset.bladeShown || 'it'));
    this.root.querySelectorAll('[data-for]').forEach((el) => (el.hidden = (el.dataset.for === 'rest') !== (here.dataset.rest === 'true')));
    const unit = this.root.querySelector('.unit');
    if (unit && here.dataset.unitLabel) unit.textContent = here.dataset.unitLabel;
    this.echoAs = here.dataset.echoAs ?? 'length';
    this.input.toggleAttribute('data-size', this.echoAs === 'size');
    text('planned', here.dataset.planned ? `planned ${here.dataset.plannedShown ?? here.dataset.planned}` : '');
    this.markLists(document);
    clearTimeout(this.drawing);
    if (drawLater) this.drawing = setTimeout(() => this.markDrawings(document), 120);
    else this.markDrawings(document);
  }

  /** Shows where the hand is: on the page, and on an answer before it is laid in, so that this does not make the two differ. */
  mark(page) {
    this.wasOpen = this.entry(this.at)?.dataset.state === 'open';
    this.wasThrough = !this.entries().some((e) => e.dataset.state === 'open');
    this.markLists(page);
    this.markDrawings(page);
  }

  markLists(page) {
    const valve = this.entry(this.at)?.dataset.valve;
    page.querySelectorAll('#walk [data-place]').forEach((e) => e.toggleAttribute('aria-current', e.dataset.place === this.at));
    page.querySelectorAll('[data-valve-row]').forEach((r) => r.classList.toggle('now', r.dataset.valveRow === valve));
  }

  markDrawings(page) {
    const valve = this.entry(this.at)?.dataset.valve;
    page.querySelectorAll('svg.face .valve-sign').forEach((v) => v.classList.toggle('now', valve !== undefined && v.dataset.valve === valve));
    page.querySelectorAll('svg.face .place.now').forEach((p) => p.dataset.place !== this.at && p.classList.remove('now'));
    page.querySelectorAll(`svg.face [data-place="${CSS.escape(this.at)}"]`).forEach((p) => {
      p.classList.add('now');
      // Over the others; one that lies there already is not taken out and put back.
      if (p.nextElementSibling) p.parentNode.appendChild(p);
    });
  }

  say(words) {
    this.root.querySelector('.say').textContent = words;
  }

  typed() {
    const output = this.root.querySelector('.echo');
    if (this.asked && this.asked.typed !== this.input.value) this.asked = null;
    if (this.echoAs === 'none') output.textContent = '';
    else echo(this.input, output);
  }

  key(event) {
    if (plain(event) && !chord.begun && this.press(event.key)) event.preventDefault();
  }

  /** @returns false for a key that goes into the field */
  press(key) {
    const empty = this.input.value === '';
    if (key === 'Enter') this.enter();
    else if (key === 'Escape' && !(empty && !this.asked)) this.clear();
    else if (empty && this.shots.includes(key)) this.shot(key);
    else if (key === '*') this.same();
    else if (empty && EMPTY[key]) EMPTY[key](this);
    else return false;
    return true;
  }

  /** The first Escape clears; on an empty field it leaves it. */
  clear() {
    this.asked = null;
    this.say('');
    this.input.value = '';
    this.typed();
  }

  enterAs(typed, stay = false) {
    this.input.value = typed;
    this.enter(stay);
  }

  /** One key: the blade in hand goes or does not, the edge rocks or sits still. */
  shot(key) {
    const here = this.entry(this.at);
    if (!here) return;
    const rest = here.dataset.rest === 'true';
    const blade = here.dataset.blade;
    if ('+-'.includes(key) && (rest || !blade)) {
      this.say(rest ? 'First how the edge rests: s sits still, r rocks.' : 'No blade would tell more here: key another place.');
      return;
    }
    if ('+-'.includes(key)) this.enterAs(key + blade, true);
    else this.enterAs(key);
  }

  /** The last reading again, or the depth that was planned. */
  same() {
    const planned = this.entry(this.at)?.dataset.planned;
    // Where there is a plan, what is through proposes nothing more.
    this.input.value = planned ?? (this.root.dataset.same === 'planned' ? '' : (this.last ?? ''));
    this.typed();
  }

  pad(key) {
    this.input.focus({ preventScroll: true });
    const typed = this.input.value;
    if (key === 'nothing') this.enterAs('0');
    else if (!this.press(key)) {
      if (key === 'Backspace') this.input.value = typed.slice(0, -1);
      else if (key === 'sign') this.input.value = typed.startsWith('-') ? typed.slice(1) : `-${typed.replace(/^\+/, '')}`;
      else this.input.value += key;
      this.typed();
    }
  }

  /** @param stay until the answer says that nothing more is to be tried here */
  enter(stay = false) {
    // At how an edge rests the bare Enter is still: the keypad alone does a whole survey.
    if (this.input.value.trim() === '' && this.entry(this.at)?.dataset.rest === 'true' && this.entry(this.at).dataset.state === 'open') {
      this.input.value = 's';
    }
    const typed = this.input.value.trim();
    if (typed === '') {
      // A walk that is through goes on to the place that is named, or to the next walk.
      const through = !this.entries().some((e) => e.dataset.state === 'open') && !outbox.waiting(this.url).length;
      const named = document.querySelector('[data-suggested]');
      if (through && named) named.click();
      else if (through && this.root.dataset.next) location.href = this.root.dataset.next;
      else this.say(this.root.dataset.empty);
      return;
    }
    const own = document.querySelector(`#read-with option[value="${CSS.escape(typed.toUpperCase())}"]`);
    if (own) {
      this.clear();
      own.selected = true;
      own.form.requestSubmit();
      return;
    }
    if (/^[A-Za-z]{1,3}-\d{2,6}$/.test(typed)) {
      location.href = `/find?q=${encodeURIComponent(typed)}`;
      return;
    }
    const here = this.entry(this.at);
    if (!here) return;
    const stopped = outbox.stopped();
    if (stopped) {
      this.say(stopped);
      return;
    }
    // Asked about the value itself, Enter again is sure of it; told of somebody else's, Enter again has seen that one.
    const again = this.asked !== null && this.asked.place === this.at && this.asked.typed === typed ? this.asked : null;
    const extra = Object.fromEntries([...document.querySelectorAll('[data-keying-extra]')].map((field) => [field.name, field.value]));
    const reading = {
      id: uuid(),
      place: this.at,
      typed,
      unit: this.root.dataset.unit,
      seen: again?.seen ?? here.dataset.seen ?? '0',
      sure: again?.sure ?? false,
      ...extra,
    };
    if (typed !== '/') this.last = typed;
    this.keyed = { place: this.at, valve: here.dataset.valve };
    this.clear();
    outbox.add(this.url, reading);
    // A note belongs to one line: the next one has none until another is typed.
    for (const field of document.querySelectorAll('[data-keying-extra][data-once]')) field.value = '';
    if (stay) this.staying = this.at;
    else this.advance();
  }

  kept(answer) {
    if (!put(answer.text)) window.live.lookSoon();
    const settled = (id) => this.entry(id)?.dataset.state !== 'open';
    const moveOn = this.staying === this.at || this.shots !== '' || this.root.dataset.follow !== undefined;
    if (moveOn && this.input.value === '' && settled(this.at) && !outbox.waiting(this.url).length) this.advance();
    if (this.staying && settled(this.staying)) this.staying = null;
    this.again();
  }

  /** What was keyed last opened a place of its own, as a fill that differs from the one before: the hand is still there. */
  again() {
    // What waited from before this page was opened was not keyed here.
    if (!this.keyed) return;
    const more = this.entries().find((e) => e.dataset.again === this.keyed.valve && e.dataset.state === 'open');
    if (!more || this.input.value !== '' || this.keyed.place !== more.dataset.after || outbox.waiting(this.url).length) return;
    this.keyed = null;
    this.go(more.dataset.place);
  }

  /** Refused or asked about: back to that place with what was typed. */
  giveBack(reading, answer) {
    this.at = reading.place;
    this.show();
    this.input.value = reading.typed === '/' ? '' : reading.typed;
    this.say(answer.text);
    const asks = answer.status === 409;
    if (asks) {
      const told = answer.seen !== null && answer.seen !== undefined;
      this.asked = { place: reading.place, typed: reading.typed, seen: told ? answer.seen : reading.seen, sure: reading.sure || !told };
    }
    this.input.focus();
    this.input.select();
    // What is no figure was just said; a figure that is asked about is shown for what it is taken for.
    if (asks && this.echoAs !== 'none') echo(this.input, this.root.querySelector('.echo'));
  }

  async undo() {
    if (!this.root.dataset.undo) {
      this.say('A line of the ledger is not undone: reverse it in the list below.');
      return;
    }
    const answer = await change(this.root.dataset.undo, { id: uuid() }, (words) => this.say(words));
    if (answer?.status === 200) this.go(answer.place);
    this.input.focus();
  }

  clicked({ target }) {
    if (document.querySelector('[data-arranging]')) return;
    const sign = target.closest('svg.face g[data-valve], tr[data-valve-row]')?.dataset;
    const ofValve = sign ? this.entries().filter((e) => e.dataset.valve === (sign.valve ?? sign.valveRow)) : [];
    const wanted = [
      target.closest('[data-go-place]')?.dataset.goPlace,
      (ofValve.find((e) => e.dataset.state === 'open') ?? ofValve[0])?.dataset.place,
      target.closest('#walk [data-place], svg.face [data-place]')?.dataset.place,
    ].find((id) => id && this.entry(id));
    if (!wanted) return;
    this.go(wanted);
    this.input.focus();
  }
}

const root = document.querySelector('[data-keying]');
if (root) window.keying = new Keying(root);
