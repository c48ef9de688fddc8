/** Who may come in and what the browser is told: sign-in, counted tries, headers, and the interface's accounts. */
package homalon.app.security;
