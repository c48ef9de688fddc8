import htmx from 'htmx.org';

htmx.config.includeIndicatorStyles = false;
htmx.config.allowEval = false;
htmx.config.historyCacheSize = 0;
window.htmx = htmx;

document.addEventListener('htmx:configRequest', (event) => {
  event.detail.headers['X-CSRF-TOKEN'] = document.querySelector('meta[name=csrf]')?.content ?? '';
});
