/**
 * The life of a casting: each visit with what was found, done and left out, what came off its face and what may still come off,
 * and two faces of it beside each other with what changed between them. Lengths of the core in millimetres; nothing is worked out
 * here.
 */
@ApplicationModule
package homalon.app.outcome.life;

import org.springframework.modulith.ApplicationModule;
