package homalon.app.foundation.people;

import homalon.app.foundation.upgrade.CommandInput;
import java.io.IOException;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Locale;
import java.util.Map;

/**
 * {@code homalon recover LOGIN}: whoever holds the machine gives an owner a new password. Runs beside the application under the
 * tables' owner; reads {@code name=value} lines from standard input, so that no password stands on a command line.
 */
public final class Recovery {
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

    private Recovery() {}

    public static void main(String[] args) throws IOException {
        Map<String, String> given = CommandInput.read();
        String login = given.getOrDefault("login", "").strip().toLowerCase(Locale.ROOT);
        try (Connection c = DriverManager.getConnection(given.get("url"), given.get("owner"), given.get("password"))) {
            c.setAutoCommit(false);
            String password = made();
            if (!reset(c, login, password)) {
                System.err.println("homalon: there is no owner with the login " + login
                        + "; anybody else's password is reset by an owner, on the shop's page");
                System.exit(1);
            }
            c.commit();
            System.out.println("Sign in as " + login + " with: " + password);
            System.out.println("Then change it, on the page behind your name.");
        } catch (SQLException e) {
            System.err.println("homalon: the database does not answer: " + e.getMessage());
            System.exit(1);
        }
    }

    /** Shuts the person's sessions as well, lets them in again, and notes it in the journal. */
    private static boolean reset(Connection c, String login, String password) throws SQLException {
        try (PreparedStatement person = c.prepareStatement(
                        "update person set password_hash = ?, active = true where login = ? and role = 'OWNER'");
                PreparedStatement waits = c.prepareStatement("delete from try_bucket where subject like ?");
                PreparedStatement sessions = c.prepareStatement("delete from spring_session where principal_name = ?");
                // What asks for a passkey would keep out whoever lost the device.
                PreparedStatement passkeys = c.prepareStatement(
                        "delete from passkey where person = (select id from person where login = ?)");
                PreparedStatement line = c.prepareStatement("insert into journal (by_person, what, detail)"
                        + " select id, 'PASSWORD_RECOVERED', login from person where login = ?")) {
            person.setString(1, Passwords.encoder().encode(password));
            person.setString(2, login);
            if (person.executeUpdate() == 0) {
                return false;
            }
            waits.setString(1, "login:" + login);
            waits.executeUpdate();
            sessions.setString(1, login);
            sessions.executeUpdate();
            passkeys.setString(1, login);
            passkeys.executeUpdate();
            line.setString(1, login);
            line.executeUpdate();
            return true;
        }
    }

    /** Four groups of five letters that cannot be mistaken for one another: some 98 bits. */
    private static String made() {
        SecureRandom random = new SecureRandom();
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 20; i++) {
            text.append(i > 0 && i % 5 == 0 ? "-" : "").append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return text.toString();
    }
}
