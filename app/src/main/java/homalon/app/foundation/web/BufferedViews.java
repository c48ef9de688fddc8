package homalon.app.foundation.web;

import org.springframework.context.annotation.Configuration;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** Every page is a {@link BufferedView}. */
@Configuration
class BufferedViews {
    BufferedViews(ThymeleafViewResolver pages) {
        pages.setViewClass(BufferedView.class);
    }
}
