/** What the house knows again as its own. Read {@link app.jemble.core.seal.HouseSeal} first. */
package app.jemble.core.seal;
