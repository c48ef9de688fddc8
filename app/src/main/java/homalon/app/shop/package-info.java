/** What belongs to the shop: tools and limits of its own, the list of parts, orders. */
package homalon.app.shop;
