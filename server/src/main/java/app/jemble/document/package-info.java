/**
 * Documents (.docx) that letters are made of: their files, versions and what their fields stand
 * for. Read {@link app.jemble.document.DocumentService} first.
 *
 * <p>Tables: document, document_version, document_file.
 */
package app.jemble.document;
