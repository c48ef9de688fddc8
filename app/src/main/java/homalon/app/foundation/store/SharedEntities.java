package homalon.app.foundation.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.EntityManagerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.orm.jpa.SharedEntityManagerCreator;

/**
 * The entity manager of the transaction at hand, for constructors. That of Spring itself is not known before the factory was made,
 * and a shop that makes its beans as they are wanted (ADR 22) may want this one first.
 */
@Configuration(proxyBeanMethods = false)
class SharedEntities {
    @Bean
    @Primary
    EntityManager entities(EntityManagerFactory factory) {
        return SharedEntityManagerCreator.createSharedEntityManager(factory);
    }
}
