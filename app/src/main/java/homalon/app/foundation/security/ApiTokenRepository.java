package homalon.app.foundation.security;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ApiTokenRepository extends JpaRepository<ApiTokenRow, UUID> {
    List<ApiTokenRow> findByRevokedAtIsNullOrderByIssuedAt();

    Optional<ApiTokenRow> findByHashAndRevokedAtIsNull(String hash);
}
