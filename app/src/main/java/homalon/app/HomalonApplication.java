package homalon.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** The application: pages, storage and reports around the core. */
@SpringBootApplication
public class HomalonApplication {
    public static void main(String[] args) {
        SpringApplication.run(HomalonApplication.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
