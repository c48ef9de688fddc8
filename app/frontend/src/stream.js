// One stream of events for all windows of a browser: six of them would take every connection that a browser has to one server.
// The window that holds the lock listens for all and tells the others; when it closes, the next one takes over.
const CHANNEL = 'homalon-live';
const ASK_AGAIN = 2000;

class Stream {
  constructor() {
    this.own = new Map();
    this.wanted = new Map();
    this.id = Math.random().toString(36).slice(2);
    this.windows = new BroadcastChannel(CHANNEL);
    this.windows.addEventListener('message', (e) => this.told(e.data));
    window.addEventListener('pagehide', () => this.windows.postMessage({ gone: this.id }));
  }

  /** Calls with the words of whatever is told about a topic. */
  listen(topic, listener) {
    if (!window.EventSource) return;
    this.own.set(topic, listener);
    this.windows.postMessage({ wants: this.id, topics: [...this.own.keys()] });
    if (this.leads) this.want(this.id, [...this.own.keys()]);
    if (this.asked) return;
    this.asked = true;
    if (navigator.locks) navigator.locks.request(CHANNEL, () => this.lead());
    else this.lead();
  }

  /** Until this window is closed: the lock is never given back. */
  lead() {
    this.leads = true;
    this.wanted.set(this.id, [...this.own.keys()]);
    this.windows.postMessage({ who: true });
    this.open();
    return new Promise(() => {});
  }

  told(message) {
    if (message.who) this.windows.postMessage({ wants: this.id, topics: [...this.own.keys()] });
    if (message.topic) this.own.get(message.topic)?.(message.words);
    if (!this.leads) return;
    if (message.wants) this.want(message.wants, message.topics);
    if (message.gone) this.want(message.gone, []);
  }

  want(id, topics) {
    if (topics.length) this.wanted.set(id, topics);
    else this.wanted.delete(id);
    clearTimeout(this.soon);
    this.soon = setTimeout(() => this.open(), 60);
  }

  open() {
    const topics = [...new Set([...this.wanted.values()].flat().concat([...this.own.keys()]))].sort();
    if (topics.join() === this.topics) return;
    this.topics = topics.join();
    this.source?.close();
    this.source = new EventSource(`/live?topics=${encodeURIComponent(this.topics)}`);
    for (const topic of topics) {
      this.source.addEventListener(topic, (e) => {
        this.own.get(topic)?.(e.data);
        this.windows.postMessage({ topic, words: e.data });
      });
    }
    this.source.addEventListener('error', () => {
      if (this.source.readyState !== EventSource.CLOSED) return;
      this.topics = '';
      setTimeout(() => this.open(), ASK_AGAIN);
    });
  }
}

export const stream = new Stream();
