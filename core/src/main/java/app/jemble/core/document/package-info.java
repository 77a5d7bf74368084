/**
 * Documents (.docx, ISO/IEC 29500-1) that are filled in for one person after another: their merge
 * fields are found, everything else stays as it was. Read {@link
 * app.jemble.core.document.DocumentTemplate} first.
 */
package app.jemble.core.document;
