/**
 * The one file in which whoever runs an installation says how it is to run.
 *
 * <p>A file has a line for each setting that is not as it is by itself: a name, {@code =}, a value;
 * {@code #} begins a remark. {@code Setting} is the list of all, each with its default, what it
 * means and what it may be; docs/settings.md is made of it. Everything that is wrong in a file is
 * told at once, each in a sentence with its line, and nothing starts. What is right becomes
 * properties of Spring, which nobody has to know.
 */
package org.quietlantern.server.platform.settings;
