// The hand on the walk: where it goes, what a key does on an empty field, and where it is led back to.
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { click, page, press, settled } from './page.js';
import { kept } from './outbox-store.stub.js';
import { server } from './server.stub.js';
import { echoed } from './shell.stub.js';

const AT = '/parts/T-0412/face/readings';

const place = (id, state = 'open', more = '') => `<li><button data-place="${id}" data-name="place ${id}" data-state="${state}" data-seen="0" ${more}></button></li>`;
const sheet = (places, more = '') => `
  <div data-keying data-url="${AT}" data-unit="MM" data-noun="Place" data-empty="Key a reading." data-undo="${AT}/undo" ${more}>
    <span data-show="name"></span><span data-show="count"></span><span class="echo"></span><p class="say"></p>
    <input class="key"><div class="keypad"><button data-pad="4"></button><button data-pad="sign"></button><button data-pad="Backspace"></button><button data-pad="Enter"></button></div>
  </div>
  <ol id="walk">${places}</ol>`;

page(sheet(place('a') + place('b') + place('c')));
const { Keying } = await import('../src/keying.js');
const { outbox } = await import('../src/outbox.js');
const { chord } = await import('../src/keys.js');

let walk;
const key = (typed) => {
  walk.input.value = typed;
  press('Enter', walk.input);
};
const said = () => walk.root.querySelector('.say').textContent;

async function opened(places, more) {
  document.body.innerHTML = sheet(places, more);
  walk = new Keying(document.querySelector('[data-keying]'));
  await settled();
}

beforeEach(async () => {
  Object.assign(server, { sent: [], answers: [200], changed: [], change: null });
  Object.assign(kept, { list: [], refuses: false });
  Object.assign(outbox, { list: [], refusing: false, away: '', sending: false });
  await opened(place('a') + place('b') + place('c'));
});

test('begins at the first open place and says which of how many it is', async () => {
  await opened(place('a', 'read') + place('b') + place('c'));
  assert.equal(walk.at, 'b');
  assert.equal(walk.root.querySelector('[data-show=name]').textContent, 'place b');
  assert.equal(walk.root.querySelector('[data-show=count]').textContent, 'Place 2 of 3');
});

test('a reading is sent once, and the hand is at the next open place', async () => {
  await opened(place('a') + place('b', 'read') + place('c'));
  key('0.05');
  assert.equal(walk.at, 'c');
  assert.equal(walk.input.value, '');
  await settled();
  assert.equal(server.sent.length, 1);
  assert.equal(server.sent[0].url, AT);
});

test('after g a letter goes somewhere, and neither walks nor takes back', async () => {
  chord.begun = true;
  for (const letter of ['z', 'k', 'j', '/', '*', 'Backspace']) assert.equal(press(letter, walk.input), false, letter);
  chord.begun = false;
  await settled();
  assert.equal(walk.at, 'a');
  assert.deepEqual(server.sent, []);
  assert.equal(press('j', walk.input), true, 'by itself it walks');
  assert.equal(walk.at, 'b');
});

test('arrows and Backspace walk, and stop at both ends', () => {
  press('ArrowDown', walk.input);
  press('j', walk.input);
  press('ArrowDown', walk.input);
  assert.equal(walk.at, 'c');
  press('ArrowUp', walk.input);
  press('k', walk.input);
  press('Backspace', walk.input);
  assert.equal(walk.at, 'a');
});

test('letters walk on an empty field alone', () => {
  walk.input.value = '0.0';
  assert.equal(press('j', walk.input), false);
  assert.equal(walk.at, 'a');
});

test('a slash leaves a place out', async () => {
  press('/', walk.input);
  await settled();
  assert.equal(server.sent.length, 1);
  assert.equal(walk.at, 'b');
});

test('the asterisk is the last reading again', () => {
  key('-0.02');
  press('*', walk.input);
  assert.equal(walk.input.value, '-0.02');
});

test('what was planned stands before the last reading', async () => {
  await opened(place('a', 'open', 'data-planned="0.1"'));
  press('*', walk.input);
  assert.equal(walk.input.value, '0.1');
});

test('Enter on nothing says what is wanted, and leads on when all is read', async () => {
  key('');
  assert.equal(said(), 'Key a reading.');
  await opened(place('a', 'read'), 'data-next="/parts/T-0412/plan"');
  key('');
  assert.equal(location.href, '/parts/T-0412/plan');
});

test('the first Escape clears, the second leaves the field', () => {
  walk.input.value = '0.0';
  assert.equal(press('Escape', walk.input), true);
  assert.equal(walk.input.value, '');
  assert.equal(press('Escape', walk.input), false);
});

test('a refused reading comes back to its place with what was typed', async () => {
  server.answers = [422];
  key('9');
  await settled();
  assert.equal(walk.at, 'a');
  assert.equal(walk.input.value, '9');
  assert.equal(said(), 'said 422');
  assert.notEqual(echoed.at(-1), '9', 'what was just said is not said again below');
});

test('asked whether it is sure, the same again is sure, another is not', async () => {
  const sure = [];
  server.answers = [(fields) => (sure.push(fields.sure), { status: 409, text: 'Is that so?', seen: null })];
  key('1.5');
  await settled();
  assert.equal(echoed.at(-1), '1.5');
  press('Enter', walk.input);
  await settled();
  walk.input.value = '1.6';
  walk.typed();
  press('Enter', walk.input);
  await settled();
  assert.deepEqual(sure, [false, true, false]);
});

test('a browser that keeps nothing stops the hand', async () => {
  kept.refuses = true;
  server.answers = [new Error('gone')];
  key('0.01');
  await settled();
  key('0.02');
  assert.match(said(), /keeps nothing/);
  assert.equal(walk.input.value, '0.02');
});

test('the keypad types, turns the sign, takes back and enters', () => {
  const pad = (name) => click(walk.root.querySelector(`[data-pad="${name}"]`));
  pad('4');
  pad('4');
  pad('Backspace');
  pad('sign');
  assert.equal(walk.input.value, '-4');
  pad('sign');
  assert.equal(walk.input.value, '4');
  pad('Enter');
  assert.equal(walk.at, 'b');
  pad('Backspace');
  assert.equal(walk.at, 'a');
});

test('a tag that is scanned opens that casting', () => {
  key('T-0388');
  assert.equal(location.href, '/find?q=T-0388');
});

test('one key says whether the blade goes, and the hand stays until it is answered', async () => {
  await opened(place('a', 'open', 'data-blade="0.05"') + place('b'), 'data-shots="+-"');
  press('+', walk.input);
  assert.equal(walk.at, 'a');
  await settled();
  assert.equal(server.sent.length, 1);
});

test('before the edge is known to rest no blade is tried', async () => {
  await opened(place('a', 'open', 'data-rest="true" data-blade="0.05"'), 'data-shots="+-sr"');
  press('+', walk.input);
  assert.match(said(), /First how the edge rests/);
  assert.equal(server.sent.length, 0);
  press('s', walk.input);
  await settled();
  assert.equal(server.sent.length, 1);
});

test('undo asks the server, and goes to the place that it opens again', async () => {
  await opened(place('a', 'read') + place('b'));
  server.change = { status: 200, place: 'a' };
  press('z', walk.input);
  await settled();
  assert.equal(server.changed[0].url, `${AT}/undo`);
  assert.equal(walk.at, 'a');
});

test('a click on the list takes that place into hand', () => {
  click(document.querySelector('#walk [data-place="c"]'));
  assert.equal(walk.at, 'c');
});
