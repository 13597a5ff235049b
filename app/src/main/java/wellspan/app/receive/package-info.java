/** The stop Receive: the ledger of received files. */
package wellspan.app.receive;
