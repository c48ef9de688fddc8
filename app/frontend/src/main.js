import './htmx.js';
import './shell.js';
import './keying.js';
import './arrange.js';
