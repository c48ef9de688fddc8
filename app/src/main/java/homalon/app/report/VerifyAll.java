package homalon.app.report;

import homalon.app.part.PartFile;
import homalon.app.part.Parts;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.stereotype.Component;

/** {@code homalon verify}: looks through every seal of the shop, says what does not agree, and ends; 1 where something does not. */
@Component
@ConditionalOnProperty("homalon.verify")
class VerifyAll implements ApplicationRunner {
    private static final int AT_ONCE = 200;

    private final Parts parts;
    private final SealCheck seals;
    private final ConfigurableApplicationContext context;

    VerifyAll(Parts parts, SealCheck seals, ConfigurableApplicationContext context) {
        this.parts = parts;
        this.seals = seals;
        this.context = context;
    }

    @Override
    public void run(ApplicationArguments args) {
        int sealed = 0;
        int wrong = 0;
        for (int page = 0; ; page++) {
            Parts.Found some = parts.page("", page, AT_ONCE);
            for (PartFile part : some.parts()) {
                for (SealCheck.Found found : seals.of(part)) {
                    sealed++;
                    wrong += found.agrees() ? 0 : 1;
                    found.wrong()
                            .forEach(w -> System.out.println(
                                    part.tag() + ", visit " + found.release().no() + ": " + w));
                }
            }
            if (some.parts().size() < AT_ONCE) {
                break;
            }
        }
        System.out.println(sealed + (sealed == 1 ? " seal" : " seals") + " looked at, "
                + (wrong == 0 ? "all agree" : wrong + " do not agree"));
        int code = wrong == 0 ? 0 : 1;
        System.exit(SpringApplication.exit(context, () -> code));
    }
}
