/** What the shop owns to work with: feelers, shims, machines, cutters. Defaults are shown as defaults until it says. */
@ApplicationModule
package homalon.app.shop.tools;

import org.springframework.modulith.ApplicationModule;
