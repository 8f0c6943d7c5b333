package wiselarder.server.jobs;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** A stand-in for mail: nothing leaves the machine; what would be sent is kept and shown. */
@Component
class SimulatedMail implements Mail {
  private static final Logger LOG = LoggerFactory.getLogger(SimulatedMail.class);

  @Override
  public String name() {
    return "Simulated mail: nothing leaves this machine";
  }

  @Override
  public void send(Letter letter) {
    LOG.info("a letter would be sent: {}", letter.subject());
  }
}
