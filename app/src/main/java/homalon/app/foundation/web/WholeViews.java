package homalon.app.foundation.web;

import org.springframework.context.annotation.Configuration;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** Every page is a {@link WholeView}. */
@Configuration
class WholeViews {
    WholeViews(ThymeleafViewResolver pages) {
        pages.setViewClass(WholeView.class);
    }
}
