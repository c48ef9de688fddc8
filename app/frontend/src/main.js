import './htmx.js';
import './shell.js';
import './outbox.js';
import './keying.js';
import './arrange.js';
import './paint.js';
import './scan.js';
import './live.js';
