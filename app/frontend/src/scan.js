// A scan: its first lines are looked at, what is unclear is asked, then it is sent as it is.
import { send, token, uuid } from './server.js';
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
      if (!answer.ok) {
        this.part('say').textContent = text;
        return;
      }
      const page = new DOMParser().parseFromString(text, 'text/html');
      this.part('look').replaceChildren(...[...page.body.children].map((c) => document.importNode(c, true)));
      this.part('rest').hidden = false;
      this.form.querySelector('.act button').focus({ preventScroll: true });
    } catch {
      this.part('say').textContent = 'Not reaching the server: choose the file again when it is back.';
    }
  }

  send() {
    if (this.sending) return;
    this.sending = true;
    const fields = new FormData(this.form);
    const file = fields.get('file');
    fields.delete('file');
    const id = uuid();
    const query = new URLSearchParams(fields);
    query.set('id', id);
    query.set('name', file.name);
    const request = new XMLHttpRequest();
    request.open('POST', `${this.url}?${query}`);
    request.setRequestHeader('X-CSRF-TOKEN', token());
    request.setRequestHeader('X-Keying', '1');
    request.setRequestHeader('Content-Type', 'application/octet-stream');
    const bar = this.part('bar');
    bar.hidden = false;
    request.upload.addEventListener('progress', (e) => {
      bar.value = e.lengthComputable ? (90 * e.loaded) / e.total : 0;
      this.part('doing').textContent = `${Math.round(e.loaded / 1e6)} of ${Math.round(file.size / 1e6)} MB sent`;
    });
    stream.listen(`scan-${id}`, (words) => {
      if (this.sending) this.part('doing').textContent = words;
    });
    const done = (words) => {
      this.sending = false;
      bar.hidden = true;
      this.part('doing').textContent = '';
      this.part('say').textContent = words;
    };
    request.addEventListener('load', () => {
      if (request.status === 200) location.href = request.responseText;
      else done(request.responseText);
    });
    request.addEventListener('error', () => done('The file did not come through: it may not be a scan, or the server cannot be reached. Send it again.'));
    request.send(file);
  }
}

document.addEventListener('DOMContentLoaded', () => {
  const form = document.querySelector('[data-scan]');
  if (form) new Scan(form);
});
