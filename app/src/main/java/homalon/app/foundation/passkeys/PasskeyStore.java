package homalon.app.foundation.passkeys;

import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.web.webauthn.api.AuthenticatorTransport;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialType;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where Spring Security's WebAuthn finds passkeys: in the shop's own tables. */
@Component
@Transactional
@ConditionalOnProperty("homalon.passkeys")
@RequiredArgsConstructor
class PasskeyStore implements UserCredentialRepository {
    private final PasskeyRepository rows;

    static Bytes bytes(UUID person) {
        return new Bytes(ByteBuffer.allocate(16)
                .putLong(person.getMostSignificantBits())
                .putLong(person.getLeastSignificantBits())
                .array());
    }

    static UUID person(Bytes id) {
        ByteBuffer bytes = ByteBuffer.wrap(id.getBytes());
        return new UUID(bytes.getLong(), bytes.getLong());
    }

    @Override
    public void delete(Bytes id) {
        rows.deleteById(id.toBase64UrlString());
    }

    @Override
    public void save(CredentialRecord record) {
        PasskeyRow row =
                rows.findById(record.getCredentialId().toBase64UrlString()).orElseGet(() -> made(record));
        row.signatureCount = record.getSignatureCount();
        row.uvInitialized = record.isUvInitialized();
        row.backupState = record.isBackupState();
        row.lastUsed = record.getLastUsed();
        rows.saveAndFlush(row);
    }

    private static PasskeyRow made(CredentialRecord record) {
        PasskeyRow row = new PasskeyRow();
        row.id = record.getCredentialId().toBase64UrlString();
        row.person = person(record.getUserEntityUserId());
        row.label = record.getLabel();
        row.publicKey = record.getPublicKey().getBytes();
        row.transports = record.getTransports().stream()
                .map(AuthenticatorTransport::getValue)
                .sorted()
                .collect(Collectors.joining(" "));
        row.backupEligible = record.isBackupEligible();
        row.attestationObject = record.getAttestationObject().getBytes();
        row.clientData = record.getAttestationClientDataJSON().getBytes();
        row.createdAt = record.getCreated();
        return row;
    }

    @Override
    @Transactional(readOnly = true)
    public CredentialRecord findByCredentialId(Bytes id) {
        return rows.findById(id.toBase64UrlString()).map(PasskeyStore::record).orElse(null);
    }

    @Override
    @Transactional(readOnly = true)
    public List<CredentialRecord> findByUserId(Bytes id) {
        return rows.findByPersonOrderByCreatedAt(person(id)).stream()
                .map(PasskeyStore::record)
                .toList();
    }

    private static CredentialRecord record(PasskeyRow row) {
        Set<AuthenticatorTransport> transports = Arrays.stream(row.transports.split(" "))
                .filter(t -> !t.isEmpty())
                .map(AuthenticatorTransport::valueOf)
                .collect(Collectors.toSet());
        return ImmutableCredentialRecord.builder()
                .credentialType(PublicKeyCredentialType.PUBLIC_KEY)
                .credentialId(Bytes.fromBase64(row.id))
                .userEntityUserId(bytes(row.person))
                .publicKey(new ImmutablePublicKeyCose(row.publicKey))
                .signatureCount(row.signatureCount)
                .uvInitialized(row.uvInitialized)
                .transports(transports)
                .backupEligible(row.backupEligible)
                .backupState(row.backupState)
                .attestationObject(new Bytes(row.attestationObject))
                .attestationClientDataJSON(new Bytes(row.clientData))
                .label(row.label)
                .created(row.createdAt)
                .lastUsed(row.lastUsed)
                .build();
    }
}
