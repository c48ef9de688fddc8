/** What every page shares: who is signed in, unit and theme, errors in sentences, the shop's own name. */
package homalon.app.web;
