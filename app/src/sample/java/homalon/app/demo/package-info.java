/** Sample data of a made-up shop, made through the same services that a person uses. Only ever into an empty database. */
package homalon.app.demo;
