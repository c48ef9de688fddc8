/** Made-up faces with a known shape, for the demo data, simulated instruments and the tests. May use: every package. */
package homalon.core.sim;
