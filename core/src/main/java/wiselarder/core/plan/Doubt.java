package wiselarder.core.plan;

/**
 * A figure that is possible but hard to believe. It is taken as stated and marked.
 *
 * @param code what is doubtful about it
 * @param subjectId the field, group or lot
 * @param field the input, e.g. {@code stand.yieldKgPerHa}; the unit stands at its end
 * @param value as stated
 * @param usualMin what is usual, in the same unit
 * @param usualMax what is usual, in the same unit
 */
public record Doubt(
    Code code, String subjectId, String field, double value, double usualMin, double usualMax) {

  /** Kinds of doubt. */
  public enum Code {
    /** The value lies outside what is usual. */
    UNUSUAL,
    /** No climate of the product's tables grows that much or that little of this forage. */
    NO_CLIMATE_GROWS_THIS,
    /** Hay this damp heats and moulds in a stack, and can burn. */
    DAMP_HAY_HEATS,
    /** Too steep for a tractor to cut across safely. */
    TOO_STEEP_TO_CUT,
    /** Stems this thick dry badly unless crimped, and no conditioner is there. */
    NEEDS_CONDITIONER,
    /** Stock leave this hay lying unless it is ground or mixed. */
    NEEDS_MIXER,
    /** The way of making it needs a machine that is not there. */
    NEEDS_MACHINE,
    /** The area stated and the area drawn differ. */
    DRAWN_OTHERWISE,
    /** The field lies over another one on the map; value is the area shared. */
    LIES_OVER_ANOTHER,
    /** Less is kept along water than the rule for its slope: value and bound in metres. */
    STRIP_TOO_NARROW,
    /** Wrapped feed more than a year old: value and bound in days. */
    KEPT_TOO_LONG,
    /** Silage in a clamp cannot be taken elsewhere. */
    STAYS_WHERE_IT_IS
  }
}
