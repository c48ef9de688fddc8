import htmx from 'htmx.org';
import { thisPage, token } from './server.js';

htmx.config.includeIndicatorStyles = false;
htmx.config.allowEval = false;
htmx.config.historyCacheSize = 0;
// What is refused is said where it was keyed (shell.js), not to the console.
htmx.config.responseHandling = [
  { code: '204', swap: false },
  { code: '[23]..', swap: true },
  { code: '[45]..', swap: false, error: false },
];
window.htmx = htmx;

document.addEventListener('htmx:configRequest', ({ detail }) => Object.assign(detail.headers, { 'X-CSRF-TOKEN': token(), 'X-Page': thisPage }));
