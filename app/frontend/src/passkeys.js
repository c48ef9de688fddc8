// Passkeys of owners: made on the shop's page, shown at the door. The browser and the device do the work.
import { startAuthentication, startRegistration } from '@simplewebauthn/browser';
import { token } from './server.js';

let fresh = '';

async function post(path, body) {
  const answer = await fetch(path, {
    method: 'POST',
    headers: { 'X-CSRF-TOKEN': fresh || token() || document.querySelector('input[name=_csrf]').value, 'X-Keying': '1', 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
    redirect: 'manual',
  });
  if (answer.type === 'opaqueredirect') throw new Error('Key your password again first: open this page anew.');
  if (!answer.ok) throw new Error(await answer.text());
  fresh = answer.headers.get('X-Token') ?? fresh;
  return answer.json();
}

async function make(form) {
  const made = await startRegistration({ optionsJSON: await post('/shop/passkeys/options', {}) });
  await post(`/shop/passkeys?label=${encodeURIComponent(form.elements.label.value)}`, made);
  location.reload();
}

async function signIn() {
  const shown = await startAuthentication({ optionsJSON: await post('/sign-in/passkey/options', {}) });
  location.assign((await post('/sign-in/passkey', shown)).to);
}

function doing(root, event, work) {
  const say = root.querySelector('.say');
  root.addEventListener(event, async (e) => {
    if (event === 'click' && !e.target.closest('button')) return;
    e.preventDefault();
    say.textContent = '';
    try {
      await work(root);
    } catch (refused) {
      say.textContent = refused.name === 'NotAllowedError' ? 'The device did not show a passkey: try again, or use the password.' : refused.message;
    }
  });
}

document.querySelectorAll('[data-passkey-make]').forEach((form) => doing(form, 'submit', make));
document.querySelectorAll('[data-passkey-sign-in]').forEach((root) => doing(root, 'click', signIn));
