// Moving, adding and dropping places on the drawing, in a mode of its own so that a glove does not move one by accident.
import { draggable, spot } from './drawing.js';
import { chord, field, plain, typing } from './keys.js';
import { change } from './server.js';

class Arrange {
  constructor(root) {
    this.root = root;
    this.url = root.dataset.arrange;
    document.addEventListener('click', (e) => this.clicked(e));
    document.addEventListener('pointerdown', () => (this.moved = false), true);
    draggable(
      (e) => this.pick(e),
      (mark, at) => {
        this.moved = true;
        this.ask(`${this.url}/${mark.dataset.place}`, { what: 'move', ...at });
      },
    );
    document.addEventListener('keydown', (e) => this.key(e));
  }

  get on() {
    return this.root.hasAttribute('data-arranging');
  }

  toggle(on) {
    this.root.toggleAttribute('data-arranging', on);
    document.querySelectorAll('[data-arrange-on]').forEach((b) => b.setAttribute('aria-pressed', String(on)));
    if (on) document.activeElement?.blur();
    else window.keying?.input.focus();
  }

  /** The place that a drag takes, which comes into hand. */
  pick(event) {
    const place = this.on && event.target.closest?.('#live-drawing [data-place]');
    if (place) window.keying?.go(place.dataset.place);
    return place;
  }

  async ask(url, fields) {
    const answer = await change(url, fields, (words) => window.keying?.say(words), true);
    if (answer?.status === 200) window.keying?.go(answer.place);
  }

  change(what, more = {}) {
    const place = window.keying?.at;
    if (place) this.ask(`${this.url}/${place}`, { what, ...more });
  }

  clicked(event) {
    const button = event.target.closest('[data-arrange-on], [data-change], [data-bring-back], [data-suggested]');
    if (button?.dataset.arrangeOn !== undefined) this.toggle(!this.on);
    else if (button?.dataset.change) this.change(button.dataset.change);
    else if (button?.dataset.bringBack) this.ask(`${this.url}/${button.dataset.bringBack}`, { what: 'bring-back' });
    else if (button?.dataset.suggested !== undefined) this.ask(this.url, { x: button.dataset.x, y: button.dataset.y });
    else if (this.on && event.target.closest('#live-drawing svg.face')) {
      const place = event.target.closest('[data-place]');
      if (place) window.keying?.go(place.dataset.place);
      else if (!this.moved) this.ask(this.url, spot(document.querySelector('#live-drawing svg.face'), event));
    }
  }

  key(event) {
    if (!plain(event) || chord.begun) return;
    if (event.key === 'e' && !typing()) {
      event.preventDefault();
      this.toggle(!this.on);
      return;
    }
    if (!this.on || field()) return;
    const far = event.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-far, 0], ArrowRight: [far, 0], ArrowUp: [0, far], ArrowDown: [0, -far] }[event.key];
    const here = window.keying?.entry(window.keying.at);
    if (by && here) {
      event.preventDefault();
      this.change('move', { x: Number(here.dataset.x) + by[0], y: Number(here.dataset.y) + by[1] });
    } else if (event.key === 'Delete') this.change('drop');
    else if (event.key === 's' && here) this.change(here.dataset.sealing === 'true' ? 'does-not-seal' : 'seals');
    else if (event.key === 'a' && here) this.ask(this.url, { x: Number(here.dataset.x) + 15, y: here.dataset.y });
    else if (event.key === 'j') window.keying?.step(1);
    else if (event.key === 'k') window.keying?.step(-1);
    else if (event.key === 'Escape') this.toggle(false);
  }
}

document.querySelectorAll('[data-arrange]').forEach((root) => new Arrange(root));
