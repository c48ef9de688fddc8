package homalon.app.foundation.web;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.boot.LazyInitializationExcludeFilter;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;

/**
 * The command starts the application with what the first page needs; the rest is made behind it, so that a shop opens two
 * seconds earlier. What cannot be made ends the program as it would have at its start.
 */
@Configuration
class StartupWarmUp {
    private static final Logger LOG = LoggerFactory.getLogger(StartupWarmUp.class);

    /** What guards the start is made at the start. */
    @Bean
    static LazyInitializationExcludeFilter guards() {
        return (name, definition, type) ->
                type != null && type.getName().equals("homalon.app.foundation.upgrade.SchemaVersionCheck");
    }

    @EventListener
    @Order
    void all(ApplicationReadyEvent event) {
        ConfigurableApplicationContext context = event.getApplicationContext();
        if (context.getParent() != null
                || !context.getEnvironment().getProperty("spring.main.lazy-initialization", Boolean.class, false)) {
            return;
        }
        Thread thread = new Thread(() -> make(context), "warm");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        thread.start();
    }

    private static void make(ConfigurableApplicationContext context) {
        ConfigurableListableBeanFactory beans = context.getBeanFactory();
        String at = "";
        try {
            for (String name : beans.getBeanDefinitionNames()) {
                at = name;
                if (beans.getBeanDefinition(name).isSingleton()
                        && !beans.getBeanDefinition(name).isAbstract()) {
                    beans.getBean(name);
                }
            }
            for (WarmUpTask slow : beans.getBeansOfType(WarmUpTask.class).values()) {
                at = slow.getClass().getSimpleName();
                slow.warm();
            }
        } catch (RuntimeException e) {
            if (context.isActive()) {
                LOG.error("{} could not be made", at, e);
                System.exit(SpringApplication.exit(context, () -> 1));
            }
        }
    }
}
