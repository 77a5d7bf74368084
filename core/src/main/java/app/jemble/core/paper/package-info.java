/**
 * What is printed: the geometry of sheets, where each label lies, and how postal addresses are
 * written. Lengths are millimetres from the upper left corner of the page.
 */
package app.jemble.core.paper;
