/**
 * A house is kept in one file, and made of it again; until somebody says that it goes on here,
 * nothing leaves. Read {@link app.jemble.backup.BackupCommand} first, then {@link
 * app.jemble.backup.RestoredHouse}.
 *
 * <p>Tables: restored.
 */
package app.jemble.backup;
