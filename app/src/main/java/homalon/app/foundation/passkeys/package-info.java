/**
 * Passkeys of owners, off unless the shop sets them on: kept, made and asked for by Spring Security's own WebAuthn. A passkey belongs
 * to a name, not to a number: the shop's public address must have one.
 */
@ApplicationModule
package homalon.app.foundation.passkeys;

import org.springframework.modulith.ApplicationModule;
