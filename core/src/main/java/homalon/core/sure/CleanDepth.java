package homalon.core.sure;

/**
 * What it takes to clean a face in one set-up, given what is known of it: from the highest metal anywhere on the land, which the cutter
 * touches first, to the lowest that has to come clean, over whole faces that agree with that ({@link CleanUp}).
 *
 * @param likely the depth that is as likely to clean it as not, mm
 * @param mostly the depth that cleans it in 9 of 10 cases, mm
 */
public record CleanDepth(double likely, double mostly) {}
