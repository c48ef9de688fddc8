package homalon.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** The application: pages, storage and reports around the core. */
@SpringBootApplication
public class HomalonApplication {
    public static void main(String[] args) {
        SpringApplication.run(HomalonApplication.class, args);
    }
}
