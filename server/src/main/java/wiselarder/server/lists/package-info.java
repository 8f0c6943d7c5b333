/**
 * Lists as tables of text (CSV): land, herd, store and the rest, a row each, read strictly and told
 * row by row what is wrong. In reading order: {@link wiselarder.server.lists.Lists}, {@code
 * CsvList}, {@code CsvColumn}. May use: json.
 */
package wiselarder.server.lists;
