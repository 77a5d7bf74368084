/**
 * The app on people's devices: how it registers, what it says, and what is shown of it. Read {@link
 * app.jemble.device.Devices} first.
 *
 * <p>Tables: device.
 */
package app.jemble.device;
