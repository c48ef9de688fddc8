/**
 * Sheets: figures keyed at named places of a visit, and what is said there, added to only. Which places a sheet has and what they
 * mean is known by the features that use it.
 */
package homalon.app.sheets;
