package homalon.app.foundation.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.EntityManagerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.orm.jpa.SharedEntityManagerCreator;

/**
 * The entity manager of the transaction at hand, for constructors. The one that the factory itself gives is not known before the
 * factory was made, and a shop that makes its beans as they are wanted (ADR 22) may want this one first; once both are known, that of
 * the factory comes first, so that this one must not.
 */
@Configuration(proxyBeanMethods = false)
class SharedEntities {
    @Bean
    EntityManager entities(EntityManagerFactory factory) {
        return SharedEntityManagerCreator.createSharedEntityManager(factory);
    }
}
