/**
 * Meetings of a group on what stands open between its members: the agenda, who was there, and what
 * was decided together, work by work. What a meeting decides is the group's ({@code Decisions});
 * what each member said stays theirs.
 */
package org.quietlantern.server.meeting;
