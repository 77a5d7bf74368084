package app.jemble.carrier.notice;

import java.net.URI;

/** Is told which devices have no app any more. Others know whose they are. */
public interface GoneDevices {

  /**
   * A push service no longer knows a device.
   *
   * @param why in words for people
   */
  void gone(URI device, String why);
}
