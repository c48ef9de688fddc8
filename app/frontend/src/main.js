import './htmx.js';
import './shell.js';
import './outbox.js';
import './keying.js';
import './arrange.js';
import './paint.js';
import './scan.js';
import './live.js';
import './drawing.js';
import './timers.js';
import './left.js';
import './away.js';
import './passkeys.js';
import './files.js';
import './what-if.js';

document.documentElement.dataset.runs = '';
