package homalon.app.foundation.passkeys;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.opened.ToVisitors;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.People.Credentials;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.security.LoginThrottle;
import homalon.app.foundation.security.SessionRenewal;
import homalon.app.foundation.security.SessionToken;
import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.authentication.HttpSessionPublicKeyCredentialRequestOptionsRepository;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.security.web.webauthn.registration.HttpSessionPublicKeyCredentialCreationOptionsRepository;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Making a passkey on the owner's page, which asked for the password before, and coming in with one. */
@Controller
@ToOwners
@ConditionalOnProperty("homalon.passkeys")
class PasskeyController {
    private static final Logger LOG = LoggerFactory.getLogger(PasskeyController.class);
    private static final String NOT = "That passkey was not taken: try again, or sign in with the password.";
    private static final int LONGEST_LABEL = 80;

    private final Webauthn4JRelyingPartyOperations passkeys;
    private final UserCredentialRepository kept;
    private final People people;
    private final LoginThrottle throttle;
    private final SessionRenewal sessions;
    private final Journal journal;
    private final HttpSessionPublicKeyCredentialCreationOptionsRepository making =
            new HttpSessionPublicKeyCredentialCreationOptionsRepository();
    private final HttpSessionPublicKeyCredentialRequestOptionsRepository asking =
            new HttpSessionPublicKeyCredentialRequestOptionsRepository();
    private final JsonMapper json =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

    /** @param address the shop's public one; a passkey belongs to its name */
    PasskeyController(
            OwnersByName owners,
            UserCredentialRepository kept,
            People people,
            LoginThrottle throttle,
            SessionRenewal sessions,
            Journal journal,
            @Value("${homalon.public-address}") String address) {
        this.kept = kept;
        this.people = people;
        this.throttle = throttle;
        this.sessions = sessions;
        this.journal = journal;
        URI at = URI.create(address.replaceFirst("/+$", ""));
        passkeys = new Webauthn4JRelyingPartyOperations(
                owners,
                kept,
                PublicKeyCredentialRpEntity.builder()
                        .id(at.getHost())
                        .name("Homalon")
                        .build(),
                Set.of(at.toString()));
        // A passkey stands for a password: whoever holds the device shows that it is theirs.
        passkeys.setCustomizeCreationOptions(o -> o.authenticatorSelection(AuthenticatorSelectionCriteria.builder()
                .residentKey(ResidentKeyRequirement.REQUIRED)
                .userVerification(UserVerificationRequirement.REQUIRED)
                .build()));
        passkeys.setCustomizeRequestOptions(o -> o.userVerification(UserVerificationRequirement.REQUIRED));
    }

    @PostMapping("/shop/passkeys/options")
    ResponseEntity<String> toMake(HttpServletRequest request, HttpServletResponse response) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        PublicKeyCredentialCreationOptions options = passkeys.createPublicKeyCredentialCreationOptions(
                new ImmutablePublicKeyCredentialCreationOptionsRequest(who));
        making.save(request, response, options);
        return answer(json.writeValueAsString(options));
    }

    @PostMapping("/shop/passkeys")
    ResponseEntity<String> make(
            @RequestParam(defaultValue = "") String label,
            @RequestBody String made,
            @AuthenticationPrincipal CurrentUser me,
            HttpServletRequest request,
            HttpServletResponse response) {
        PublicKeyCredentialCreationOptions options = making.load(request);
        String name = label.strip();
        if (name.isEmpty() || name.length() > LONGEST_LABEL) {
            throw new BadInputException("label", "app.passkeys.name-the-device-such-as-my-phone");
        }
        if (options == null) {
            throw new BadInputException("passkey", Message.plain(NOT));
        }
        making.save(request, response, null);
        try {
            PublicKeyCredential<AuthenticatorAttestationResponse> credential =
                    json.readValue(made, new TypeReference<>() {});
            passkeys.registerCredential(
                    new ImmutableRelyingPartyRegistrationRequest(options, new RelyingPartyPublicKey(credential, name)));
        } catch (JacksonException | IllegalArgumentException | IllegalStateException e) {
            LOG.info("no passkey: {}", e.toString());
            throw new BadInputException("passkey", Message.plain(NOT));
        }
        journal.write(Journal.What.PASSKEY_MADE, me.id(), name);
        return answer("{}");
    }

    @PostMapping("/shop/passkeys/remove")
    String remove(@RequestParam String id, @AuthenticationPrincipal CurrentUser me) {
        Optional<CredentialRecord> own = kept.findByUserId(PasskeyStore.bytes(me.id())).stream()
                .filter(k -> k.getCredentialId().toBase64UrlString().equals(id))
                .findFirst();
        own.ifPresent(k -> {
            kept.delete(k.getCredentialId());
            journal.write(Journal.What.PASSKEY_REMOVED, me.id(), k.getLabel());
        });
        return "redirect:/shop";
    }

    @ToVisitors
    @PostMapping("/sign-in/passkey/options")
    ResponseEntity<String> toSignIn(HttpServletRequest request, HttpServletResponse response) {
        PublicKeyCredentialRequestOptions options =
                passkeys.createCredentialRequestOptions(new ImmutablePublicKeyCredentialRequestOptionsRequest(null));
        asking.save(request, response, options);
        // What is asked must not be forgotten: here, and only here, a visitor has a session, and with it another token.
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header("X-Token", SessionToken.of(request, response))
                .body(json.writeValueAsString(options));
    }

    @ToVisitors
    @PostMapping("/sign-in/passkey")
    ResponseEntity<String> signIn(@RequestBody String shown, HttpServletRequest request, HttpServletResponse response) {
        List<LoginThrottle.Subject> subjects =
                List.of(LoginThrottle.Subject.address("from:" + request.getRemoteAddr()));
        int wait = throttle.take(subjects);
        if (wait > 0) {
            return refused(LoginThrottle.told(wait) + ", then try again.");
        }
        PublicKeyCredentialRequestOptions options = asking.load(request);
        if (options == null) {
            return refused(NOT);
        }
        asking.save(request, response, null);
        Optional<Credentials> who;
        try {
            PublicKeyCredential<AuthenticatorAssertionResponse> credential =
                    json.readValue(shown, new TypeReference<>() {});
            PublicKeyCredentialUserEntity entity =
                    passkeys.authenticate(new RelyingPartyAuthenticationRequest(options, credential));
            who = people.credentials(entity.getName()).filter(c -> c.active() && c.role() == Role.OWNER);
        } catch (RuntimeException e) {
            // What is shown may be broken in any way; why is nobody's business but ours.
            LOG.info("no passkey: {}", e.toString());
            who = Optional.empty();
        }
        if (who.isEmpty()) {
            journal.write(Journal.What.NOT_LET_IN, null, "passkey from " + request.getRemoteAddr());
            return refused(NOT);
        }
        throttle.right(subjects);
        journal.write(Journal.What.SIGNED_IN, who.get().id(), "by passkey from " + request.getRemoteAddr());
        sessions.begin(who.get(), false, request, response);
        return answer(json.writeValueAsString(Map.of("to", "/")));
    }

    private static ResponseEntity<String> answer(String body) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(body);
    }

    private static ResponseEntity<String> refused(String sentence) {
        return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
                .contentType(MediaType.TEXT_PLAIN)
                .body(sentence);
    }
}
