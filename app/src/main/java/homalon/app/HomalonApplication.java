package homalon.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

@SpringBootApplication
public class HomalonApplication {
    public static void main(String[] args) {
        SpringApplication.run(HomalonApplication.class, args);
    }
}
