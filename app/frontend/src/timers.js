// What is left of the timers, counted down between the server's answers and called out when one is done.
const KEY = 'homalon-timers';
const called = new Set(JSON.parse(sessionStorage.getItem(KEY) ?? '[]'));

/** Hours only where there are any; a day at the most. */
const clock = (seconds) => new Date(Math.min(86_399, Math.abs(Math.ceil(seconds))) * 1000).toISOString().slice(11, 19).replace(/^00:0?|^0/, '');

/** A browser that may not sound yet only shows it. */
function beep() {
  const audio = new AudioContext();
  const tone = new OscillatorNode(audio, { frequency: 880 });
  tone.connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + 0.6);
}

function tick() {
  for (const row of document.querySelectorAll('[data-timer]')) {
    row.until ??= Date.now() / 1000 + Number(row.dataset.left);
    const left = row.until - Date.now() / 1000;
    const over = left <= 0;
    row.classList.toggle('over', over);
    const words = row.querySelector('span');
    words.textContent = over ? `${row.dataset.what}: done ${clock(left)} ago` : `${row.dataset.what} ${clock(left)}`;
    // Read out only when it is done, not every second.
    words.setAttribute('aria-hidden', String(!over));
    if (over && !called.has(row.dataset.timer)) {
      called.add(row.dataset.timer);
      sessionStorage.setItem(KEY, JSON.stringify([...called]));
      beep();
    }
  }
}

document.addEventListener('htmx:afterSwap', tick);
setInterval(tick, 1000);
