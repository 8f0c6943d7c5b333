/**
 * Files as they are written and read, without HTTP: farm file, lists, GeoJSON, ledger. May use:
 * json.
 */
package wiselarder.server.file;
