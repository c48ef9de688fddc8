/** What every wing stands on: pages and their errors, people and sign-in, storage, time, load, drawings and instruments. */
package homalon.app.foundation;
