/**
 * Requirements on the objects of a model, as buildingSMART's Information Delivery Specification 1.0
 * states them, and the check against a model.
 */
package wellspan.core.requirement;
