/** Whether a casting is whole: cleaning, cracks and what becomes of them, pressure tests. */
package homalon.app.integrity;
