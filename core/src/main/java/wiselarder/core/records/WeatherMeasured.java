package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.weather.RecordedWeather;

/** Daily weather that somebody measured; its day is the first of them. */
public record WeatherMeasured(RecordedWeather weather) implements Fact {
  public WeatherMeasured {
    Check.present("record.weather", weather);
  }
}
