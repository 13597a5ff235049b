/** The picture in the middle: plan, 3D, long section. */
package wellspan.app.stage;
