package homalon.core.input;

/** Whether what is keyed can be an address for mail; whether anybody reads it, only a letter tells. */
public final class MailAddress {
    private static final int LONGEST = 120;

    private MailAddress() {}

    /** Something before and behind one @, without blanks within; true for nothing at all, which is no address and no mistake. */
    public static boolean isOneOrBlank(String typed) {
        String tidy = typed.strip();
        return tidy.isEmpty() || (tidy.matches("[^\\s@]+@[^\\s@]+") && tidy.length() <= LONGEST);
    }
}
