package homalon.app.foundation.security;

import homalon.app.foundation.people.Passwords;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;
import org.springframework.security.config.annotation.web.configurers.ExceptionHandlingConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.www.BasicAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;

/** Three doors: customers' pages (an address is all), the calculation interface (stateless) and the pages (session and CSRF token). */
@Configuration
class SecurityConfig {
    private static final String OWN_ONLY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; "
            + "img-src 'self' data:; connect-src 'self'; worker-src 'self'; manifest-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
    /** The interface's reader sets styles on its own elements; its scripts are files of ours all the same. */
    private static final String DOCS = OWN_ONLY.replace("style-src 'self'", "style-src 'self' 'unsafe-inline'");

    /** No script at all. */
    private static final String CUSTOMERS = "default-src 'none'; style-src 'self'; font-src 'self'; img-src 'self'; "
            + "form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /** A browser that is told so for "localhost" would refuse every other program of that machine. */
    private static boolean ownName(HttpServletRequest request) {
        return request.isSecure() && !request.getServerName().equals("localhost");
    }

    /** How long each of some twenty filters takes is of no use to a shop, and is asked for at every request. */
    @Bean
    SecurityObservationSettings filtersAreNotTimed() {
        return SecurityObservationSettings.noObservations();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return Passwords.encoder();
    }

    /** Whoever has the address may: no cookie has a part in it, so that there is nothing that a foreign page could borrow. */
    @Bean
    @Order(0)
    SecurityFilterChain customersPages(HttpSecurity http) throws Exception {
        return http.securityMatcher("/c/**")
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(c -> c.disable())
                .requestCache(c -> c.disable())
                .authorizeHttpRequests(a -> a.anyRequest().permitAll())
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CUSTOMERS))
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
                        .permissionsPolicyHeader(p -> p.policy("camera=(), microphone=(), geolocation=()")))
                .build();
    }

    @Bean
    @Order(1)
    SecurityFilterChain calculations(HttpSecurity http, ApiSignIn apiSignIn) throws Exception {
        return http.securityMatcher("/api/v1/**")
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(c -> c.disable())
                .requestCache(c -> c.disable())
                .addFilterAt(apiSignIn, BasicAuthenticationFilter.class)
                .authorizeHttpRequests(a -> a.dispatcherTypeMatchers(DispatcherType.ERROR)
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .exceptionHandling(e -> e.authenticationEntryPoint(apiSignIn))
                .headers(h ->
                        h.contentSecurityPolicy(c -> c.policyDirectives("default-src 'none'; frame-ancestors 'none'")))
                .build();
    }

    @Bean
    @Order(2)
    SecurityFilterChain docs(HttpSecurity http) throws Exception {
        return http.securityMatcher("/api/**", "/webjars/**")
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .authorizeHttpRequests(a -> a.anyRequest().permitAll())
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(DOCS)))
                .build();
    }

    @Bean
    @Order(3)
    SecurityFilterChain pages(
            HttpSecurity http,
            PasswordProvider passwords,
            SessionValidityFilter stillBelongs,
            KeyedOnBehalf keyedBy,
            @Value("${server.servlet.session.cookie.secure:false}") boolean secure)
            throws Exception {
        // Where a visitor wanted to go is kept in a cookie: no session before somebody signed in.
        var wanted = new CookieRequestCache();
        wanted.setRequestMatcher(SecurityConfig::opensAPage);
        return http.authenticationProvider(passwords)
                .csrf(c -> c.csrfTokenRepository(
                        new TokenOfVisitors(secure ? "__Host-homalon-visitor" : "homalon-visitor", secure)))
                .requestCache(c -> c.requestCache(wanted))
                .authorizeHttpRequests(SecurityConfig::closed)
                .addFilterBefore(stillBelongs, AuthorizationFilter.class)
                .addFilterAfter(keyedBy, AuthorizationFilter.class)
                .formLogin(f -> f.loginPage("/sign-in")
                        .usernameParameter("login")
                        .passwordParameter("password")
                        .defaultSuccessUrl("/", false)
                        .failureHandler((request, response, e) -> response.sendRedirect(turnedAway(e))))
                .logout(l -> l.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .exceptionHandling(SecurityConfig::signedOut)
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(OWN_ONLY))
                        .httpStrictTransportSecurity(s -> s.requestMatcher(SecurityConfig::ownName))
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(p -> p.policy("camera=(), microphone=(), geolocation=()")))
                .build();
    }

    /** What a page asks for by itself is nowhere that somebody wanted to go. */
    private static boolean opensAPage(HttpServletRequest request) {
        return request.getMethod().equals("GET") && !byItself(request);
    }

    /** Asked for by a page that is open, and not by somebody who goes to another. */
    private static boolean byItself(HttpServletRequest request) {
        String mode = request.getHeader("Sec-Fetch-Mode");
        return request.getHeader("X-Keying") != null
                || request.getHeader("HX-Request") != null
                || MediaType.TEXT_EVENT_STREAM_VALUE.equals(request.getHeader("Accept"))
                || (mode != null && !mode.equals("navigate"));
    }

    /** Who may what, each handler says itself (homalon.app.foundation.opened); what says nothing is closed. */
    private static void closed(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry a) {
        a.dispatcherTypeMatchers(DispatcherType.ERROR)
                .permitAll()
                .requestMatchers(
                        "/assets/**",
                        "/sign-in/**",
                        "/first-visit",
                        "/trust/**",
                        "/favicon.ico",
                        "/alive",
                        "/wall",
                        "/feeds/**",
                        "/robots.txt",
                        "/worker.js",
                        "/manifest.webmanifest")
                .permitAll()
                .requestMatchers("/shop/**")
                .hasRole("OWNER")
                .anyRequest()
                .authenticated();
    }

    private static String turnedAway(AuthenticationException e) {
        if (e instanceof PasswordProvider.MustWait wait) {
            return "/sign-in?wait=" + wait.minutes;
        }
        return e instanceof PasswordProvider.PasskeyAsked ? "/sign-in?passkey" : "/sign-in?wrong";
    }

    /**
     * A page leads to the door; a part of a page is told that nobody is signed in. Led to the door as well, it would bring a visitor's
     * token of its own, beside that of the page at which somebody signs in.
     */
    private static void signedOut(ExceptionHandlingConfigurer<HttpSecurity> e) {
        e.defaultAuthenticationEntryPointFor(
                        new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED), SecurityConfig::byItself)
                .defaultAuthenticationEntryPointFor(
                        new LoginUrlAuthenticationEntryPoint("/sign-in"),
                        PathPatternRequestMatcher.withDefaults().matcher("/**"))
                // The door is open to everybody: only a token that is none any more is refused there.
                .defaultAccessDeniedHandlerFor(
                        (request, response, denied) -> response.sendRedirect("/sign-in?again"),
                        PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, "/sign-in"))
                .defaultAccessDeniedHandlerFor(
                        new AccessDeniedHandlerImpl(),
                        PathPatternRequestMatcher.withDefaults().matcher("/**"));
    }
}
