/** When castings can be ready, what was promised of them, whom to ring, and how many promises were kept. */
@ApplicationModule
package homalon.app.outcome.promises;

import org.springframework.modulith.ApplicationModule;
