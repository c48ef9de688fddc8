// A page without a browser: what the scripts ask of one, and hands that press keys on it.
import { parseHTML } from 'linkedom';

/** Lays a page and makes its names those that every script knows. */
export function page(body) {
  const { window, document } = parseHTML(`<!doctype html><html><body data-person="ines">${body}</body></html>`);
  globalThis.window = window;
  globalThis.document = document;
  globalThis.location = { search: '', href: '' };
  globalThis.CSS = { escape: (text) => text };
  globalThis.localStorage = { getItem: () => null, removeItem: () => {} };
  globalThis.BroadcastChannel = class extends EventTarget {
    postMessage() {}
  };
  if (!globalThis.navigator) globalThis.navigator = {};
  globalThis.CustomEvent = window.CustomEvent;
  let hand = document.body;
  Object.defineProperty(document, 'activeElement', { get: () => hand });
  window.HTMLElement.prototype.focus = function focus() {
    hand = this;
  };
  window.HTMLElement.prototype.blur = () => (hand = document.body);
  window.HTMLElement.prototype.select = () => {};
  return document;
}

/** @returns whether the script took the key, so that the browser does nothing with it */
export function press(key, on = document.activeElement) {
  const event = new window.Event('keydown', { bubbles: true, cancelable: true });
  Object.assign(event, { key });
  on.dispatchEvent(event);
  return event.defaultPrevented;
}

export function click(on) {
  on.dispatchEvent(new window.Event('click', { bubbles: true, cancelable: true }));
}

/** Lets what was begun come to its end. */
export async function settled() {
  for (let i = 0; i < 60; i++) await Promise.resolve();
}
