/** Read access to parts, surveys and ledgers for other programs. */
package homalon.app.api;
