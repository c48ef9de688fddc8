/**
 * Points, planes, boxes, rasters and the contours drawn from them. Lengths are double millimetres; x runs along the
 * casting from its front end, y across it, z out of the face towards the cutter, so a high place is positive. Polygon
 * work is done by JTS. May use: quantity.
 */
package homalon.core.geometry;
