/**
 * What an operation is: a recorded, replayable piece of work on a job. A step prepares an item, a
 * recipe makes one. Parameters, labels and units are declared on the record of each operation; the
 * window's forms, the command line and the job file follow from that.
 */
package wellspan.core.operation;
