// What was keyed reaches the server once each and in order, or is given back; nothing else is ever said to be kept.
import assert from 'node:assert/strict';
import { beforeEach, mock, test } from 'node:test';
import { kept } from './outbox-store.stub.js';
import { server } from './server.stub.js';

const AT = '/parts/T-0412/face/readings';

globalThis.window = new EventTarget();
if (!globalThis.navigator) globalThis.navigator = {};
globalThis.localStorage = { getItem: () => null, removeItem: () => {} };
globalThis.document = { body: { dataset: {} } };
globalThis.BroadcastChannel = class extends EventTarget {
  static told = [];
  postMessage(message) {
    BroadcastChannel.told.push(message);
  }
};

const { Outbox } = await import('../src/outbox.js');

const settled = async () => {
  for (let i = 0; i < 60; i++) await Promise.resolve();
};

/** Time goes on by itself between two tries. */
async function passing(ms) {
  mock.timers.tick(ms);
  await settled();
}

async function opened(person = 'ines') {
  const outbox = new Outbox(person);
  await outbox.loaded;
  await settled();
  return outbox;
}

const ids = () => server.sent.map((s) => s.id);

beforeEach(() => {
  mock.timers.reset();
  // Debian's Node 18 takes the list by itself.
  mock.timers.enable(process.version < 'v20' ? ['setTimeout'] : { apis: ['setTimeout'] });
  Object.assign(kept, { list: [], refuses: false, slow: Promise.resolve() });
  Object.assign(server, { sent: [], answers: [200], said: [], renewals: 0, renews: true });
  BroadcastChannel.told = [];
});

test('readings go in the order in which they were keyed, once each', async () => {
  const outbox = await opened();
  for (const id of ['a', 'b', 'c']) outbox.add(AT, { id });
  await settled();
  assert.deepEqual(ids(), ['a', 'b', 'c']);
  assert.deepEqual(kept.list, []);
  assert.equal(server.said.at(-1), 'kept');
});

test('answered before the store had it, it is not left there to be sent again', async () => {
  let stored;
  kept.slow = new Promise((ok) => (stored = ok));
  const outbox = await opened();
  outbox.add(AT, { id: 'a' });
  await settled();
  assert.equal(outbox.list.length, 0);
  stored();
  await settled();
  assert.deepEqual(kept.list, []);
});

test('the server being away, they wait in the store and go when it is back', async () => {
  server.answers = [new Error('no network')];
  const outbox = await opened();
  outbox.add(AT, { id: 'a' });
  outbox.add(AT, { id: 'b' });
  await settled();
  assert.equal(server.said.at(-1), 'not reaching the server: 2 waiting here');
  assert.deepEqual(kept.list.map((r) => r.fields.id), ['a', 'b']);
  assert.equal(server.waits(), true);
  server.answers = [200];
  outbox.wake();
  await settled();
  assert.deepEqual(ids().slice(-2), ['a', 'b']);
  assert.equal(server.waits(), false);
});

test('only what the store has taken is said to wait here', async () => {
  server.answers = [new Error('no network')];
  const outbox = await opened();
  outbox.add(AT, { id: 'a' });
  await settled();
  assert.equal(server.said.at(-1), 'not reaching the server: 1 waiting here');
  let stored;
  kept.slow = new Promise((ok) => (stored = ok));
  outbox.add(AT, { id: 'b' });
  await settled();
  assert.equal(server.said.at(-1), 'not reaching the server: 1 waiting here');
  stored();
  await settled();
  assert.equal(server.said.at(-1), 'not reaching the server: 2 waiting here');
});

test('a busy server is asked later, and not sooner than it says', async () => {
  server.answers = [() => ({ status: 503, text: '', retryAfter: '7' }), 200];
  const outbox = await opened();
  outbox.add(AT, { id: 'a' });
  await settled();
  await passing(6900);
  assert.equal(server.sent.length, 1);
  await passing(200);
  assert.equal(server.sent.length, 2);
  assert.equal(outbox.list.length, 0);
});

test('what the server will never take goes back to the page that keyed it, and the next one goes on', async () => {
  server.answers = [(f) => ({ status: f.id === 'odd' ? 422 : 200, text: 'key a height' })];
  const outbox = await opened();
  const refused = [];
  const taken = [];
  outbox.listen(AT, { kept: () => taken.push(1), refused: (fields, answer) => refused.push([fields.id, answer.text]) });
  outbox.add(AT, { id: 'odd' });
  outbox.add(AT, { id: 'good' });
  await settled();
  assert.deepEqual(refused, [['odd', 'key a height']]);
  assert.equal(taken.length, 1);
  assert.deepEqual(kept.list, []);
});

test('no page of its address being open, a refused reading is marked, told of and handed over later', async () => {
  server.answers = [422];
  const outbox = await opened();
  outbox.add(AT, { id: 'odd' });
  await settled();
  assert.equal(kept.list[0].answer.status, 422);
  assert.equal(server.said.at(-1), 'a reading of T-0412 was not taken: open it');
  assert.equal(server.sent.length, 1, 'it is not sent again');
  const refused = [];
  outbox.listen(AT, { kept: () => {}, refused: (fields) => refused.push(fields.id) });
  await settled();
  assert.deepEqual(refused, ['odd']);
  assert.deepEqual(kept.list, []);
});

test('signed out, it stops and loses nothing', async () => {
  server.answers = [401];
  const outbox = await opened();
  outbox.add(AT, { id: 'a' });
  await settled();
  assert.equal(server.said.at(-1), 'sign in again: 1 waiting here');
  assert.equal(server.sent.length, 1);
  assert.equal(kept.list.length, 1);
});

test('an old token is renewed once for a reading; refused again it is given back', async () => {
  server.answers = [403, 200];
  const outbox = await opened();
  outbox.add(AT, { id: 'a' });
  await settled();
  assert.equal(server.renewals, 1);
  assert.deepEqual(ids(), ['a', 'a']);
  assert.equal(outbox.list.length, 0);

  server.answers = [403];
  const refused = [];
  outbox.listen(AT, { kept: () => {}, refused: (fields) => refused.push(fields.id) });
  outbox.add(AT, { id: 'b' });
  await settled();
  assert.equal(server.renewals, 2);
  assert.deepEqual(refused, ['b']);
});

test('a store that refuses stops the hand until the server has what was keyed', async () => {
  kept.refuses = true;
  server.answers = [new Error('no network')];
  const outbox = await opened();
  outbox.add(AT, { id: 'a' });
  await settled();
  assert.match(outbox.stopped(), /keeps nothing/);
  assert.match(server.said.at(-1), /leave this page open, 1 not kept yet/);
  server.answers = [200];
  outbox.wake();
  await settled();
  assert.equal(outbox.stopped(), '');
  assert.deepEqual(ids().at(-1), 'a');
});

test('what another person keyed at this browser is neither sent nor counted', async () => {
  kept.list = [{ person: 'brannoc', url: AT, fields: { id: 'his' }, seq: 900 }];
  const outbox = await opened('ines');
  await settled();
  assert.deepEqual(server.sent, []);
  assert.equal(outbox.list.length, 0);
  assert.equal(kept.list.length, 1);
});

test('what waited from before is sent with the time at which it was keyed', async () => {
  kept.list = [{ person: 'ines', url: AT, fields: { id: 'old' }, seq: 901, keyed: 123 }];
  await opened('ines');
  await settled();
  assert.deepEqual(server.sent, [{ url: AT, id: 'old', keyed: 123 }]);
});

test('another window that was answered tells this one, which does not send it again', async () => {
  server.answers = [new Error('no network')];
  const outbox = await opened();
  const taken = [];
  outbox.listen(AT, { kept: (answer) => taken.push(answer.text), refused: () => {} });
  outbox.add(AT, { id: 'a' });
  await settled();
  kept.list = [];
  const before = server.sent.length;
  await outbox.heard({ kept: { id: 'a', url: AT, answer: { text: 'drawn anew' } } });
  await settled();
  assert.deepEqual(taken, ['drawn anew']);
  assert.equal(outbox.list.length, 0);
  assert.equal(server.sent.length, before);
});
