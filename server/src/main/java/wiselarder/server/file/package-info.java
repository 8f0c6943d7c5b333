/**
 * Files as they are written and read, without HTTP: farm file, map (GeoJSON), ledger. May use:
 * json.
 */
package wiselarder.server.file;
