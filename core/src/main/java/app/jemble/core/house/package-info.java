/** What a house may say of itself. Read {@link app.jemble.core.house.HouseRule} first. */
package app.jemble.core.house;
