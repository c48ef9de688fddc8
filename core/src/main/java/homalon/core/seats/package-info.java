/**
 * Valve seats: their cross-section as cones, the plan of a seat, valve heights over a head, springs, inserts and their press.
 * Lengths are double millimetres, angles degrees from the plane of the seat, z up out of the seat towards the valve, r from the
 * valve's axis; sinks are along the axis, + away from the chamber. May use: input, quantity, geometry, numeric, part, rulebook,
 * verdict, catalogue.
 */
package homalon.core.seats;
