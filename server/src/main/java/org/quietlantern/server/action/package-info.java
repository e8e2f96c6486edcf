/**
 * Every write of a member is a command: given under an id that the page makes, carried out once,
 * recorded as an action, taken back if nobody changed the same thing since.
 *
 * <p>A service that writes implements {@link org.quietlantern.server.action.CommandKinds} and calls
 * {@link org.quietlantern.server.action.Commands#run}. Inside <i>perform</i> it is alone in its
 * group: whatever decides whether the command may be done is looked at there, not before, for
 * somebody may have changed it in between, and a repeated command must meet its first answer before
 * it meets a check. What takes time is computed in <i>prepare</i>, where nothing is held.
 *
 * <p>Two kinds of names are recorded. What was <i>changed</i> is named by row ({@code mark:12:3})
 * and decides about undo: as little as possible, so that colleagues do not stand in each other's
 * way. What an action is <i>about</i> is named by public ids, as many as apply.
 *
 * <p>What an undo needs is kept as JSON for years. Records that are kept so may gain fields that
 * can be absent; they never lose any.
 */
package org.quietlantern.server.action;
