package homalon.app.demo;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** A component that only the sample shop has: in a real shop it is not there, whatever it may ask for. */
@Component
@ConditionalOnProperty("homalon.demo")
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@interface OfTheDemo {}
