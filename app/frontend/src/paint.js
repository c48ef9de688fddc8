// Painting what the cutter touched: a brush for finger or mouse, a cursor for the keyboard.
import { chord, plain, typing } from './keys.js';
import { change, uuid } from './server.js';

export class Paint {
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
    // Nothing painted yet: most passes touch about what was expected, so begin there.
    this.before = this.cells().map((c) => c.classList.contains('on'));
    if (!this.before.includes(true)) this.expected();
    this.move(this.cells().find((c) => c.classList.contains('on')) ?? this.cells()[0]);
    this.tell();
    document.activeElement?.blur();
  }

  stop() {
    delete document.body.dataset.painting;
    this.cursor?.classList.remove('cursor');
    this.cursor = null;
  }

  leave() {
    this.cells().forEach((c, i) => c.classList.toggle('on', this.before[i]));
    this.stop();
    window.keying?.input.focus();
  }

  expected() {
    this.cells().forEach((c) => c.classList.toggle('on', c.classList.contains('expected')));
    this.tell();
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
    if (!plain(event) || chord.begun) return;
    if (!this.on) {
      if (event.key !== 'b' || typing() || !document.querySelector('[data-paint-start]')) return;
      event.preventDefault();
      event.stopPropagation();
      this.start();
      return;
    }
    const arrows = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
    if (arrows[event.key]) this.step(...arrows[event.key]);
    else if (event.key === ' ') this.toggle(this.cursor);
    else if (event.key === 'Enter') this.keep();
    else if (event.key === 'f') this.expected();
    else if (event.key === 'Escape') this.leave();
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  toggle(cell) {
    cell.classList.toggle('on', !cell.classList.contains('on'));
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
    this.toggle(cell);
  }

  over(event) {
    if (!this.on || this.brush === null) return;
    const cell = this.under(event);
    if (cell && cell.classList.contains('on') !== this.brush) this.toggle(cell);
  }

  clicked({ target }) {
    for (const what of ['start', 'keep', 'expected', 'leave']) if (target.closest(`[data-paint-${what}]`)) this[what]();
  }

  /** Four cells to a digit, the lowest first. */
  hex() {
    const cells = this.cells();
    const bits = cells.filter((c) => c.classList.contains('on')).reduce((all, c) => all | (1n << BigInt(c.dataset.cell)), 0n);
    return [...bits.toString(16).padStart(Math.ceil(cells.length / 4), '0')].reverse().join('');
  }

  async keep() {
    this.id ??= uuid();
    const say = document.querySelector('[data-paint-say]');
    const url = document.querySelector('[data-paint]').dataset.paintUrl;
    const answer = await change(url, { id: this.id, cells: this.hex() }, (words) => (say.textContent = words), true);
    if (answer?.status === 200) {
      this.id = null;
      this.stop();
      window.keying?.input.focus();
    } else if (!answer || answer.status >= 500) {
      say.textContent = 'Not reaching the server: your painting is still here, press Enter to send it again.';
    }
  }
}

if (document.querySelector('.part-page')) window.painting = new Paint();
