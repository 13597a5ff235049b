/** Folders as borders: what a file names is found inside its folder, or not at all. */
package wellspan.core.folder;
