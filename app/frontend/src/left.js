// What people who were shut out had keyed at this browser and could not send any more: the owner looks at it and accepts it. It
// is theirs, as keyed; who accepted it is noted beside it.
import * as store from './outbox-store.js';
import { post } from './server.js';

const WHEN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

class Left {
  constructor(root) {
    this.root = root;
    this.list = root.querySelector('ul');
    this.row = root.querySelector('template').content.firstElementChild;
    this.out = new Map([...document.querySelectorAll('[data-shut-out]')].map((e) => [e.dataset.shutOut, e.dataset.name]));
    this.show();
  }

  async show() {
    const keys = new Map();
    for (const person of this.out.keys()) {
      const answer = await fetch(`/shop/left-key/${person}`, { redirect: 'manual' }).catch(() => null);
      if (crypto.subtle && answer?.ok) keys.set(person, await store.keyOf(await answer.arrayBuffer()));
    }
    const left = (await store.everything(keys).catch(() => [])).filter((r) => this.out.has(r.person));
    this.root.hidden = left.length === 0;
    this.list.replaceChildren(...left.map((r) => this.line(r)));
  }

  line(reading) {
    const row = this.row.cloneNode(true);
    const at = reading.url.split('/');
    row.querySelector('[data-who]').textContent = this.out.get(reading.person);
    row.querySelector('[data-what]').textContent = `${reading.fields.typed} ${(reading.fields.unit ?? '').toLowerCase()} on ${at[2]}, ${at[3]}`;
    row.querySelector('[data-when]').textContent = reading.keyed ? `keyed ${WHEN.format(reading.keyed)}` : '';
    row.querySelector('button').addEventListener('click', () => this.accept(reading, row));
    return row;
  }

  async accept(reading, row) {
    const button = row.querySelector('button');
    button.disabled = true;
    const answer = await post(reading.url, reading.fields, reading.keyed, reading.person).catch(() => ({ status: 0, text: '' }));
    if (answer.status === 200 || answer.status === 204) {
      await store.drop(reading.seq).catch(() => {});
      await this.show();
      return;
    }
    button.disabled = false;
    row.querySelector('.say').textContent = answer.status === 0 ? 'Not reaching the server: try again.' : answer.text;
  }
}

document.querySelectorAll('[data-left]').forEach((root) => new Left(root));
