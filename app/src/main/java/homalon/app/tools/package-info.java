/** What the shop owns to work with: feelers, shims, machines, cutters. Defaults are shown as defaults until it says. */
package homalon.app.tools;
