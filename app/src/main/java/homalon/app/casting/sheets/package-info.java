/**
 * Sheets: figures keyed at named places of a visit, and what is said there, added to only. Which places a sheet has and what they
 * mean is known by the features that use it.
 */
@ApplicationModule
package homalon.app.casting.sheets;

import org.springframework.modulith.ApplicationModule;
