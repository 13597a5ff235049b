/** What is said of an item beside its geometry: layer, class, properties, material, picture. */
package wellspan.core.attribute;
