// A scan: its first lines are looked at, what is unclear is asked, then it is sent as it is.
import { send, uuid } from './server.js';
import { stream } from './stream.js';

const HEAD = 1 << 16;

class Scan {
  constructor(form) {
    this.form = form;
    this.url = form.dataset.url;
    form.elements.file.addEventListener('change', () => this.look());
    form.addEventListener('submit', (e) => {
      e.preventDefault();
      e.stopImmediatePropagation();
      this.send();
    });
  }

  part(name) {
    return this.form.querySelector(`[data-scan-${name}]`);
  }

  async look() {
    const file = this.form.elements.file.files[0];
    this.part('say').textContent = '';
    this.part('rest').hidden = true;
    this.part('look').replaceChildren();
    if (!file) return;
    try {
      const answer = await send(`${this.url}/look?whole=${file.size <= HEAD}`, file.slice(0, HEAD));
      const text = await answer.text();
      this.part('rest').hidden = !answer.ok;
      if (!answer.ok) this.part('say').textContent = text;
      else {
        // What the server wrote, every text in it escaped there.
        this.part('look').innerHTML = text;
        this.form.querySelector('.act button').focus({ preventScroll: true });
      }
    } catch {
      this.part('say').textContent = 'Not reaching the server: choose the file again when it is back.';
    }
  }

  /** As it is; how far it was read comes over the stream. */
  async send() {
    if (this.sending) return;
    this.sending = true;
    const fields = new FormData(this.form);
    const file = fields.get('file');
    fields.delete('file');
    const id = uuid();
    this.part('bar').hidden = false;
    stream.listen(`scan-${id}`, (words) => (this.part('doing').textContent = this.sending ? words : ''));
    const query = new URLSearchParams([...fields, ['id', id], ['name', file.name]]);
    const answer = await send(`${this.url}?${query}`, file).catch(() => null);
    const words = (await answer?.text()) ?? 'The file did not come through: it may not be a scan, or the server cannot be reached. Send it again.';
    this.sending = false;
    if (answer?.status === 200) {
      location.href = words;
      return;
    }
    this.part('bar').hidden = true;
    this.part('doing').textContent = '';
    this.part('say').textContent = words;
  }
}

document.querySelectorAll('[data-scan]').forEach((form) => new Scan(form));
