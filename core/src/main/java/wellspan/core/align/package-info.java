/** Alignments: plan elements, profiles, chainage and the evaluation of positions along them. */
package wellspan.core.align;
