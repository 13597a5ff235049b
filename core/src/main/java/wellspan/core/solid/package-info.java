/** Bodies made of sections carried along a way, and bodies cut by bodies. */
package wellspan.core.solid;
