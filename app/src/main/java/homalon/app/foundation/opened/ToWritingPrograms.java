package homalon.app.foundation.opened;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.security.access.prepost.PreAuthorize;

/** Opens a handler, or all of a controller's, to programs whose token writes for a person; that person's role still counts. */
@Target({ElementType.TYPE, ElementType.METHOD})
@Retention(RetentionPolicy.RUNTIME)
@PreAuthorize("hasRole('WRITING_PROGRAM')")
public @interface ToWritingPrograms {}
