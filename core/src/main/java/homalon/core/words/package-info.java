/**
 * What is said without the words it is said in: codes and typed arguments. The sentences are in the resources beside it, so that they
 * are chosen in one place and another language is one more set of files. Uses nothing but the JDK.
 */
package homalon.core.words;
