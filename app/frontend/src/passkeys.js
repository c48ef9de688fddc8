// Passkeys of owners: made on the shop's page, shown at the door. The browser and the device do the work.
const url = (buffer) => btoa(String.fromCharCode(...new Uint8Array(buffer))).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');

function bytes(text) {
  return Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (c) => c.charCodeAt(0));
}

let token = '';

async function post(path, body) {
  const answer = await fetch(path, {
    method: 'POST',
    headers: { 'X-CSRF-TOKEN': token || (document.querySelector('meta[name=csrf]') ?? {}).content || document.querySelector('input[name=_csrf]').value, 'X-Keying': '1', 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
    redirect: 'manual',
  });
  if (answer.type === 'opaqueredirect') throw new Error('Key your password again first: open this page anew.');
  if (!answer.ok) throw new Error(await answer.text());
  token = answer.headers.get('X-Token') ?? token;
  return answer.json();
}

const known = (list) => (list ?? []).map((c) => ({ ...c, id: bytes(c.id) }));

async function make(label) {
  const o = await post('/shop/passkeys/options', {});
  const made = await navigator.credentials.create({
    publicKey: { ...o, challenge: bytes(o.challenge), user: { ...o.user, id: bytes(o.user.id) }, excludeCredentials: known(o.excludeCredentials) },
  });
  await post(`/shop/passkeys?label=${encodeURIComponent(label)}`, {
    id: made.id,
    rawId: url(made.rawId),
    type: made.type,
    response: { attestationObject: url(made.response.attestationObject), clientDataJSON: url(made.response.clientDataJSON), transports: made.response.getTransports?.() ?? [] },
    clientExtensionResults: made.getClientExtensionResults(),
    authenticatorAttachment: made.authenticatorAttachment,
  });
  location.reload();
}

async function signIn() {
  const o = await post('/sign-in/passkey/options', {});
  const shown = await navigator.credentials.get({ publicKey: { ...o, challenge: bytes(o.challenge), allowCredentials: known(o.allowCredentials) } });
  const { to } = await post('/sign-in/passkey', {
    id: shown.id,
    rawId: url(shown.rawId),
    type: shown.type,
    response: {
      authenticatorData: url(shown.response.authenticatorData),
      clientDataJSON: url(shown.response.clientDataJSON),
      signature: url(shown.response.signature),
      userHandle: shown.response.userHandle ? url(shown.response.userHandle) : null,
    },
    clientExtensionResults: shown.getClientExtensionResults(),
    authenticatorAttachment: shown.authenticatorAttachment,
  });
  location.assign(to);
}

function doing(root, work) {
  const say = root.querySelector('.say');
  root.addEventListener(root.tagName === 'FORM' ? 'submit' : 'click', async (e) => {
    if (root.tagName !== 'FORM' && !e.target.closest('button')) return;
    e.preventDefault();
    say.textContent = '';
    try {
      await work(root);
    } catch (refused) {
      say.textContent = refused.name === 'NotAllowedError' ? 'The device did not show a passkey: try again, or use the password.' : refused.message;
    }
  });
}

document.querySelectorAll('[data-passkey-make]').forEach((form) => doing(form, () => make(form.elements.label.value)));
document.querySelectorAll('[data-passkey-sign-in]').forEach((root) => doing(root, signIn));
