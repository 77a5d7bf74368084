package app.jemble.outside;

import app.jemble.core.house.ServiceSetting;

/**
 * A service as the house's screens have it.
 *
 * @param setting its password is opened; it is shown to nobody
 * @param authority certificates (PEM) of those who vouch for it; empty when the machine knows them
 * @param version counts up with each change; 0 as long as nobody has set it
 */
public record KeptService(ServiceSetting setting, String authority, int version) {

  public boolean isSet() {
    return !setting.host().isEmpty();
  }

  public boolean hasPassword() {
    return !setting.password().isEmpty();
  }
}
