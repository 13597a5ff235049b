/** Opens any file that can be received: finds its format by its content and calls the reader. */
package wellspan.exchange.intake;
