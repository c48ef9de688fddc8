// Timers run on the server; every page shows what is left of them and calls out when one is done.
import { post, state, uuid } from './server.js';

let running = [];
let called = new Set();
const heard = JSON.parse(sessionStorage.getItem('homalon-timers') ?? '[]');
heard.forEach((id) => called.add(id));

function bar() {
  let at = document.getElementById('timers');
  if (!at) {
    at = document.createElement('div');
    at.id = 'timers';
    at.className = 'timers';
    at.setAttribute('role', 'status');
    document.querySelector('header.top')?.after(at);
  }
  return at;
}

function left(timer) {
  return timer.until - Date.now() / 1000;
}

function clock(seconds) {
  const s = Math.abs(Math.ceil(seconds));
  const h = Math.floor(s / 3600);
  const m = Math.floor((s % 3600) / 60);
  return h ? `${h}:${String(m).padStart(2, '0')}:${String(s % 60).padStart(2, '0')}` : `${m}:${String(s % 60).padStart(2, '0')}`;
}

function beep() {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    tone.frequency.value = 880;
    tone.connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + 0.6);
  } catch {
    // A browser that may not sound yet still shows it.
  }
}

function draw() {
  const at = bar();
  at.hidden = running.length === 0;
  document.body.classList.toggle('timed', running.length > 0);
  if (at.childElementCount !== running.length) {
    at.replaceChildren(
      ...running.map((t) => {
        const row = document.createElement('p');
        row.dataset.timer = t.id;
        const link = document.createElement('a');
        link.href = `/parts/${t.tag}`;
        link.textContent = t.tag;
        const words = document.createElement('span');
        const stop = document.createElement('button');
        stop.type = 'button';
        stop.className = 'button small';
        stop.textContent = 'Stop';
        stop.setAttribute('aria-label', `Stop the timer ${t.what} of ${t.tag}`);
        stop.addEventListener('click', async () => {
          await post(`/timers/${t.id}/stop`, {}).catch(() => state('away'));
          look();
        });
        row.append(link, words, stop);
        return row;
      }),
    );
  }
  running.forEach((t, i) => {
    const over = left(t) <= 0;
    const row = at.children[i];
    row.classList.toggle('over', over);
    const words = over ? ` ${t.what}: done ${clock(left(t))} ago ` : ` ${t.what} ${clock(left(t))} `;
    // Read out only when it is done, not every second.
    row.children[1].setAttribute('aria-hidden', String(!over));
    row.children[1].textContent = words;
    if (over && !called.has(t.id)) {
      called.add(t.id);
      sessionStorage.setItem('homalon-timers', JSON.stringify([...called]));
      beep();
    }
  });
}

async function look() {
  try {
    const answer = await fetch('/timers', { headers: { 'X-Keying': '1' }, redirect: 'manual' });
    if (!answer.ok) return;
    show(await answer.json());
  } catch {
    // The page's own status says that the server is away.
  }
}

function show(list) {
  running = list.map((t) => ({ ...t, until: Date.now() / 1000 + t.left }));
  if (running.length || document.getElementById('timers')) {
    bar().replaceChildren();
    draw();
  }
}

document.addEventListener('submit', async (event) => {
  const form = event.target;
  if (form.dataset.timer === undefined) return;
  event.preventDefault();
  event.stopImmediatePropagation();
  const said = form.querySelector('.say');
  form.elements.id.value = uuid();
  try {
    const answer = await post(form.action, new FormData(form));
    said.textContent = answer.status === 200 ? '' : answer.text;
    if (answer.status === 200) show(JSON.parse(answer.text));
  } catch {
    state('away');
  }
}, true);

document.addEventListener('DOMContentLoaded', () => {
  if (!document.body.dataset.person) return;
  look();
  setInterval(() => running.length && draw(), 1000);
  setInterval(look, 20000);
});
