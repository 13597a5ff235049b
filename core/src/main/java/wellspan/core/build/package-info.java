/**
 * What a job comes to: sources in shared coordinates, items as operations left them, findings. A
 * function of the job's decisions and of what was received.
 */
package wellspan.core.build;
