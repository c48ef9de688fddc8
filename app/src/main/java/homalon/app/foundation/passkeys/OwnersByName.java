package homalon.app.foundation.passkeys;

import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.stereotype.Component;

/** Whom a passkey may belong to: an owner who is not shut out, as the table of people says now. */
@Component
@ConditionalOnProperty("homalon.passkeys")
@RequiredArgsConstructor
class OwnersByName implements PublicKeyCredentialUserEntityRepository {
    private final People people;

    @Override
    public PublicKeyCredentialUserEntity findById(Bytes id) {
        return entity(people.find(PasskeyStore.person(id)));
    }

    @Override
    public PublicKeyCredentialUserEntity findByUsername(String login) {
        return entity(people.all().stream().filter(p -> p.login().equals(login)).findFirst());
    }

    private static PublicKeyCredentialUserEntity entity(Optional<PersonInfo> found) {
        return found.filter(p -> p.active() && p.role() == Role.OWNER)
                .map(p -> ImmutablePublicKeyCredentialUserEntity.builder()
                        .id(PasskeyStore.bytes(p.id()))
                        .name(p.login())
                        .displayName(p.name())
                        .build())
                .orElse(null);
    }

    @Override
    public void save(PublicKeyCredentialUserEntity entity) {
        throw new IllegalStateException("People are made on the owner's page.");
    }

    @Override
    public void delete(Bytes id) {
        throw new IllegalStateException("People are shut out on the owner's page.");
    }
}
