/** People of the shop: accounts, roles, their unit and theme, PINs and the bench devices on which PINs work. */
package homalon.app.people;
