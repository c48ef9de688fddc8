// Painting what the cutter touched: a brush for finger or mouse, a cursor for the keyboard.
import { post, put, state, uuid } from './server.js';

class Paint {
  constructor() {
    this.brush = null;
    this.cursor = null;
    document.addEventListener('click', (e) => this.clicked(e));
    document.addEventListener('keydown', (e) => this.key(e), true);
    document.addEventListener('pointerdown', (e) => this.down(e));
    document.addEventListener('pointermove', (e) => this.over(e));
    document.addEventListener('pointerup', () => (this.brush = null));
    document.addEventListener('homalon:put', () => this.on && this.stop());
  }

  get on() {
    return document.body.dataset.painting !== undefined;
  }

  cells() {
    return [...document.querySelectorAll('.cells rect')];
  }

  start() {
    if (!document.querySelector('[data-paint]')) return;
    document.body.dataset.painting = '';
    // Nothing painted yet: most passes touch about what was foretold, so begin there.
    this.before = this.cells().map((c) => c.classList.contains('on'));
    if (!this.before.includes(true)) this.foretold();
    this.buttons(true);
    this.move(this.cells().find((c) => c.classList.contains('on')) ?? this.cells()[0]);
    this.tell();
    document.activeElement?.blur();
  }

  stop() {
    delete document.body.dataset.painting;
    this.cursor?.classList.remove('cursor');
    this.cursor = null;
    this.buttons(false);
  }

  leave() {
    this.cells().forEach((c, i) => this.set(c, this.before[i]));
    this.stop();
    window.keying?.input.focus();
  }

  buttons(painting) {
    const root = document.querySelector('[data-paint]');
    if (!root) return;
    root.querySelector('[data-paint-start]').hidden = painting;
    for (const name of ['keep', 'foretold', 'leave']) root.querySelector(`[data-paint-${name}]`).hidden = !painting;
  }

  foretold() {
    this.cells().forEach((c) => this.set(c, c.classList.contains('foretold')));
    this.tell();
  }

  set(cell, on) {
    cell.classList.toggle('on', on);
    cell.classList.toggle('off', !on);
  }

  tell() {
    const all = this.cells();
    const words = document.querySelector('[data-paint-words]');
    const on = all.filter((c) => c.classList.contains('on')).length;
    if (words) words.textContent = `${on} of ${all.length} cells touched. Drag to paint, or arrows and Space; the first cell says whether you paint or wipe.`;
  }

  move(cell) {
    if (!cell) return;
    this.cursor?.classList.remove('cursor');
    this.cursor = cell;
    cell.classList.add('cursor');
    cell.parentNode.appendChild(cell);
  }

  /** The nearest cell in a direction. */
  step(dx, dy) {
    const at = this.cursor.getBBox();
    const near = (c) => {
      const b = c.getBBox();
      const along = dx ? (b.x - at.x) * dx : (b.y - at.y) * dy;
      const off = dx ? Math.abs(b.y - at.y) : Math.abs(b.x - at.x);
      return along > 1 ? along + 3 * off : Infinity;
    };
    const best = this.cells().reduce((a, c) => (near(c) < near(a) ? c : a));
    if (near(best) < Infinity) this.move(best);
  }

  key(event) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const field = document.activeElement?.matches?.('input, textarea, select') ? document.activeElement : null;
    if (!this.on) {
      const free = !field || (field.matches('input.key') && field.value === '');
      if (free && event.key === 'b' && document.querySelector('[data-paint-start]')) {
        event.preventDefault();
        event.stopPropagation();
        this.start();
      }
      return;
    }
    const arrows = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
    if (arrows[event.key]) this.step(...arrows[event.key]);
    else if (event.key === ' ') this.toggle(this.cursor);
    else if (event.key === 'Enter') this.keep();
    else if (event.key === 'f') this.foretold();
    else if (event.key === 'Escape') this.leave();
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  toggle(cell) {
    this.set(cell, !cell.classList.contains('on'));
    this.tell();
  }

  under(event) {
    const el = document.elementFromPoint(event.clientX, event.clientY);
    return el?.matches?.('.cells rect') ? el : null;
  }

  down(event) {
    const cell = this.on && this.under(event);
    if (!cell) return;
    event.preventDefault();
    this.brush = !cell.classList.contains('on');
    this.set(cell, this.brush);
    this.tell();
  }

  over(event) {
    if (!this.on || this.brush === null) return;
    const cell = this.under(event);
    if (cell && cell.classList.contains('on') !== this.brush) {
      this.set(cell, this.brush);
      this.tell();
    }
  }

  clicked(event) {
    if (event.target.closest('[data-paint-start]')) this.start();
    else if (event.target.closest('[data-paint-keep]')) this.keep();
    else if (event.target.closest('[data-paint-foretold]')) this.foretold();
    else if (event.target.closest('[data-paint-leave]')) this.leave();
  }

  /** Four cells to a digit, the lowest first. */
  hex() {
    const digits = [];
    for (const c of this.cells()) {
      const n = Number(c.dataset.cell);
      digits[n >> 2] = (digits[n >> 2] ?? 0) | (c.classList.contains('on') ? 1 << (n & 3) : 0);
    }
    return Array.from(digits, (d) => (d ?? 0).toString(16)).join('');
  }

  async keep() {
    this.id ??= uuid();
    state('keeping');
    const url = document.querySelector('[data-paint]').dataset.paintUrl;
    const answer = await post(url, { id: this.id, cells: this.hex() }).catch(() => null);
    if (answer?.status === 200) {
      this.id = null;
      this.stop();
      put(answer.text, true);
      state('kept');
      window.keying?.input.focus();
    } else {
      document.querySelector('[data-paint-say]').textContent =
        answer && answer.status < 500 ? answer.text : 'Not reaching the server: your painting is still here, press Enter to send it again.';
      state('away');
    }
  }
}

document.addEventListener('DOMContentLoaded', () => {
  if (document.querySelector('.part-page')) window.painting = new Paint();
});
