/**
 * Farms as people share them: who may see one and as what, invitations, whole farms in and out.
 * Above plans.
 */
package wiselarder.server.farm;
