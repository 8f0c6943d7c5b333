/** Weather that farms have recorded, and the season a plan is looked at in. */
package wiselarder.server.weather;
