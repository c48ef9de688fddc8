// Painting by keys: what is touched, what is sent, and that leaving changes nothing.
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { click, page, press, settled } from './page.js';
import { server } from './server.stub.js';

const cells = (on) =>
  [0, 1, 2, 3, 4, 5].map((n) => `<rect data-cell="${n}" data-x="${(n % 3) * 10}" data-y="${n < 3 ? 0 : 10}" class="${on.includes(n) ? 'on' : ''} ${n < 2 ? 'expected' : ''}"></rect>`).join('');
const sheet = (on) => `
  <div class="part-page"><button data-paint-start></button><div data-paint data-paint-url="/parts/T-0409/cut/touched"></div>
  <button data-paint-keep></button><p data-paint-words></p><p data-paint-say></p><svg class="face"><g class="cells">${cells(on)}</g></svg></div>`;

page('');
const { Paint } = await import('../src/paint.js');
const paint = new Paint();
const on = () => [...document.querySelectorAll('.cells rect.on')].map((c) => Number(c.dataset.cell)).sort();
const words = () => document.querySelector('[data-paint-words]').textContent;

function laid(...touched) {
  document.body.innerHTML = sheet(touched);
  delete document.body.dataset.painting;
  document.querySelectorAll('.cells rect').forEach((c) => (c.getBBox = () => ({ x: Number(c.dataset.x), y: Number(c.dataset.y) })));
}

beforeEach(() => {
  Object.assign(server, { changed: [], change: { status: 200 } });
  paint.id = null;
  laid();
});

test('begins with what was expected where nothing was painted, and with what was where something was', () => {
  press('b');
  assert.deepEqual(on(), [0, 1]);
  assert.match(words(), /^2 of 6 cells touched/);
  laid(4);
  press('b');
  assert.deepEqual(on(), [4]);
});

test('b in a field is a letter', () => {
  document.body.insertAdjacentHTML('beforeend', '<input id="note">');
  document.getElementById('note').focus();
  press('b');
  assert.equal(document.body.dataset.painting, undefined);
  document.activeElement.blur();
});

test('arrows go to the nearest cell that way, and Space turns it over', () => {
  press('b');
  assert.equal(paint.cursor.dataset.cell, '0');
  press('ArrowRight');
  press('ArrowDown');
  assert.equal(paint.cursor.dataset.cell, '4');
  press(' ');
  assert.deepEqual(on(), [0, 1, 4]);
  press('ArrowDown');
  assert.equal(paint.cursor.dataset.cell, '4');
  press(' ');
  assert.deepEqual(on(), [0, 1]);
});

test('Escape leaves everything as it was', () => {
  laid(5);
  press('b');
  press(' ');
  press('Escape');
  assert.deepEqual(on(), [5]);
  assert.equal(document.body.dataset.painting, undefined);
});

test('four cells go to a digit, the lowest first', async () => {
  laid(0, 3, 5);
  press('b');
  press('Enter');
  await settled();
  assert.equal(server.changed[0].cells, '92');
  assert.equal(document.body.dataset.painting, undefined);
});

test('what the server did not get is sent again under the same id', async () => {
  press('b');
  server.change = null;
  click(document.querySelector('[data-paint-keep]'));
  await settled();
  assert.match(document.querySelector('[data-paint-say]').textContent, /still here/);
  assert.deepEqual(on(), [0, 1]);
  server.change = { status: 200 };
  press('Enter');
  await settled();
  assert.equal(server.changed[0].id, server.changed[1].id);
});

test('what was refused stays painted, with the reason', async () => {
  press('b');
  server.change = { status: 422, text: 'That pass was taken back.' };
  press('Enter');
  await settled();
  assert.equal(document.querySelector('[data-paint-say]').textContent, 'That pass was taken back.');
  assert.notEqual(document.body.dataset.painting, undefined);
});
