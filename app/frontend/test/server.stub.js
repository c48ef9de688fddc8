// A server that answers as a test says, and writes down what it was sent.
export const server = { sent: [], answers: [], said: [], renewals: 0, renews: true, changed: [], change: null, waits: () => false };

export async function post(url, fields, keyed) {
  server.sent.push({ url, id: fields.id, keyed });
  const answer = server.answers.length > 1 ? server.answers.shift() : server.answers[0];
  if (answer instanceof Error) throw answer;
  return typeof answer === 'function' ? answer(fields) : { status: answer, text: `said ${answer}` };
}

export async function renewToken() {
  server.renewals += 1;
  return server.renews;
}

export function state(name, detail = '') {
  server.said.push(detail || name);
}

export function whatWaits(asked) {
  server.waits = asked;
}

let made = 0;
export const uuid = () => `id-${++made}`;

/** What a test has the server answer to a change; null for no answer. */
export async function change(url, fields, say) {
  server.changed.push({ url, ...fields });
  const answer = server.change;
  if (answer && answer.status !== 200) say(answer.text);
  return answer;
}

export function put() {
  return true;
}
