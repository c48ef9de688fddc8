package homalon.app.outcome.report;

import homalon.app.casting.part.PartFinder;
import homalon.core.visit.PartFile;
import homalon.core.visit.Wanted;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.stereotype.Component;

/**
 * {@code homalon verify}: looks through every seal of the shop, or for the one that a file belongs to, says what does not agree,
 * and ends; 1 where something does not.
 */
@Component
@ConditionalOnProperty("homalon.verify")
class VerifyAll implements ApplicationRunner {
    private static final int AT_ONCE = 200;

    private final PartFinder finder;
    private final SealCheck seals;
    private final ConfigurableApplicationContext context;
    private final String sum;

    /** @param sum SHA-256 of the one file that is asked about; empty for all seals */
    VerifyAll(
            PartFinder finder,
            SealCheck seals,
            ConfigurableApplicationContext context,
            @Value("${homalon.verify-sum:}") String sum) {
        this.sum = sum;
        this.finder = finder;
        this.seals = seals;
        this.context = context;
    }

    @Override
    public void run(ApplicationArguments args) {
        int code = sum.isEmpty() ? all() : file();
        System.exit(SpringApplication.exit(context, () -> code));
    }

    private int file() {
        Optional<String> which = seals.ofSum(sum);
        System.out.println(
                which.orElse("This file is none that this shop handed over: it was changed, or is another's."));
        return which.isPresent() ? 0 : 1;
    }

    private int all() {
        int sealed = 0;
        int wrong = 0;
        for (int page = 0; ; page++) {
            PartFinder.Found some = finder.page(new Wanted(List.of()), page, AT_ONCE);
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
        return wrong == 0 ? 0 : 1;
    }
}
