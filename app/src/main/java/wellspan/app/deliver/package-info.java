/** The stop Deliver: manifest, run, proof. */
package wellspan.app.deliver;
