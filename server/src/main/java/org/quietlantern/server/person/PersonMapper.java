package org.quietlantern.server.person;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What is about a person, table by table; {@code PersonTest} finds a table that is forgotten. */
@Mapper
interface PersonMapper {
  /** As JSON, group by group, in order of joining. */
  @Select(
      """
      select jsonb_pretty(jsonb_build_object(
        'group', g.name, 'name', m.name, 'role', m.role, 'joined', m.joined, 'left', m.left_at,
        'kept', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'title', p.fields ->> 'title',
            'folder', f.name, 'pile', f.owner is not null, 'why', r.text, 'at', r.at) order by r.id)
          from item_reason r join item i on i.id = r.item join folder f on f.id = i.folder
          join publication p on p.id = i.publication where r.membership = m.id),
        'marks', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'title', p.fields ->> 'title',
            'said', coalesce(t.what, e.what), 'reason', coalesce(t.reason, e.reason), 'at', e.at)
            order by e.id)
          from review_event e join publication p on p.id = e.publication
          left join sealed_mark t on t.event = e.id where e.membership = m.id),
        'read', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'title', p.fields ->> 'title',
            'extent', r.extent, 'at', r.at) order by r.id)
          from reading r join publication p on p.id = r.publication where r.membership = m.id),
        'opened', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'title',
            p.fields ->> 'title', 'taken', o.downloaded, 'at', o.at) order by o.id)
          from opening o join publication p on p.id = o.publication where o.membership = m.id),
        'searched', (select jsonb_agg(jsonb_build_object('address', k.pid, 'strategy', k.strategy,
            'found', s.count, 'at', s.at) order by s.id)
          from step s join kept_strategy k on k.id = s.strategy where s.membership = m.id),
        'remarks', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'title',
            p.fields ->> 'title', 'text', r.body, 'at', r.at, 'changed', r.changed, 'takenBack', r.gone,
            'settled', case when r.settled_by = m.id then r.settled end) order by r.id)
          from remark r join publication p on p.id = r.publication
          where m.id in (r.membership, r.settled_by)),
        'mentioned', (select jsonb_agg(jsonb_build_object('remark', r.pid, 'lookedAt', n.seen)
            order by r.id)
          from remark_mention n join remark r on r.id = n.remark where n.membership = m.id),
        'marginNotes', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'title',
            p.fields ->> 'title', 'quote', n.quote, 'text', n.body, 'kind', n.kind, 'shared', n.shared,
            'at', n.at, 'gone', n.gone) order by n.id)
          from margin_note n join publication p on p.id = n.publication where n.membership = m.id),
        'marginAnswers', (select jsonb_agg(jsonb_build_object('text', r.body, 'at', r.at) order by r.id)
          from margin_remark r where r.membership = m.id),
        'away', (select jsonb_agg(jsonb_build_object('from', b.from_day, 'to', b.to_day) order by b.id)
          from absence b where b.membership = m.id),
        'tasks', (select jsonb_agg(jsonb_build_object('text', t.body, 'state', t.state, 'word', t.word,
            'due', t.due, 'doi', t.doi, 'notedByMe', t.made_by = m.id, 'mine', t.owner = m.id,
            'at', t.made) order by t.id)
          from task t where m.id in (t.made_by, t.owner, t.state_by)),
        'questions', (select jsonb_agg(jsonb_build_object('text', q.body, 'place', q.place,
            'askedByMe', q.asked_by = m.id, 'at', q.made) order by q.id)
          from question q where m.id in (q.asked_by, q.asked)),
        'answers', (select jsonb_agg(jsonb_build_object('text', w.body, 'sheet', w.q, 'at', w.at)
            order by w.id)
          from question_word w where w.by = m.id),
        'revisions', (select jsonb_agg(jsonb_build_object('search', s.name, 'n', r.n, 'strategy',
            r.strategy, 'found', r.count, 'why', r.comment, 'at', r.at) order by r.id)
          from revision r join saved_search s on s.id = r.saved_search
          where m.id in (r.membership, s.documented_by)),
        'checks', (select jsonb_agg(jsonb_build_object('search', s.name, 'n', r.n, 'askedByMe',
            c.asked_by = m.id, 'asked', c.asked, 'checked', c.checked) order by c.revision)
          from revision_check c join revision r on r.id = c.revision
          join saved_search s on s.id = r.saved_search where m.id in (c.checker, c.asked_by)),
        'lineRemarks', (select jsonb_agg(jsonb_build_object('text', r.text, 'at', r.at) order by r.id)
          from line_remark r where r.membership = m.id),
        'runs', (select jsonb_agg(jsonb_build_object('found', r.count, 'at', r.at) order by r.id)
          from search_run r where r.membership = m.id),
        'mends', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'field', d.field, 'supplied',
            d.supplied, 'value', d.value, 'at', d.at) order by d.id)
          from mend d join publication p on p.id = d.publication where d.membership = m.id),
        'compared', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'at', c.at) order by p.id)
          from entry_checked c join publication p on p.id = c.publication where c.membership = m.id),
        'annotations', (select jsonb_agg(jsonb_build_object('folder', f.name, 'publication', p.pid,
            'text', a.body, 'state', a.state, 'mine', a.writer = m.id, 'at', a.at) order by a.id)
          from annotation a join folder f on f.id = a.folder join publication p on p.id = a.publication
          where m.id in (a.writer, a.agreed_by)),
        'annotationWordings', (select jsonb_agg(jsonb_build_object('text', w.body, 'at', w.at)
            order by w.annotation, w.n)
          from annotation_wording w where w.membership = m.id),
        'annotationRemarks', (select jsonb_agg(jsonb_build_object('of', r.words, 'instead', r.instead,
            'text', r.body, 'outcome', r.outcome, 'mine', r.membership = m.id, 'at', r.at)
            order by r.id)
          from annotation_remark r where m.id in (r.membership, r.outcome_by)),
        'quotedThrough', (select jsonb_agg(jsonb_build_object('work', q.described, 'doi', q.doi,
            'through', p.pid, 'at', q.at) order by q.id)
          from quoted_through q join publication p on p.id = q.publication
          where q.membership = m.id),
        'alerts', (select jsonb_agg(jsonb_build_object('search', s.name, 'rhythm', a.rhythm, 'state',
            a.state, 'at', a.at) order by a.id)
          from alert a join revision r on r.id = a.revision join saved_search s on s.id = r.saved_search
          where a.membership = m.id),
        'feeds', (select jsonb_agg(jsonb_build_object('id', f.pid, 'at', f.at, 'revoked', f.revoked)
            order by f.id)
          from feed f where f.membership = m.id),
        'feedsOfOthers', (select jsonb_agg(jsonb_build_object('title', f.title, 'address', f.address,
            'at', f.at, 'ended', f.ended) order by f.id)
          from followed_feed f where f.membership = m.id),
        'alertsByMail', (select jsonb_agg(jsonb_build_object('search', s.name, 'receives', c.receives)
            order by a.id)
          from alert_receiver c join alert a on a.id = c.alert join revision r on r.id = a.revision
          join saved_search s on s.id = r.saved_search where c.membership = m.id),
        'digests', (select jsonb_agg(jsonb_build_object('day', d.day, 'moment', d.moment, 'at', d.at,
            'arrivals', (select count(*) from digest_item i where i.digest = d.id)) order by d.id)
          from digest d where d.membership = m.id),
        'limitSets', (select jsonb_agg(jsonb_build_object('name', l.name, 'limits', l.limits, 'at', l.at)
            order by l.id)
          from limit_set l where l.membership = m.id),
        'reports', (select jsonb_agg(jsonb_build_object('title', n.title, 'at', n.at) order by n.id)
          from note n where n.membership = m.id),
        'copies', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'described', c.described,
            'state', c.state, 'asked', c.asked) order by c.id)
          from copy_request_member w join copy_request c on c.id = w.request
          left join publication p on p.id = c.publication where w.membership = m.id),
        'texts', (select jsonb_agg(jsonb_build_object('publication', p.pid, 'file', t.name, 'origin',
            t.origin, 'at', t.at, 'gone', t.gone) order by t.id)
          from text_copy t join publication p on p.id = t.publication where t.membership = m.id),
        'folders', (select jsonb_agg(jsonb_build_object('name', f.name, 'may', n.may) order by f.id)
          from folder_named n join folder f on f.id = n.folder where n.membership = m.id),
        'links', (select jsonb_agg(jsonb_build_object('folder', f.name, 'at', l.at, 'revoked', l.revoked)
            order by l.id)
          from folder_link l join folder f on f.id = l.folder where l.membership = m.id),
        'holdings', (select jsonb_agg(jsonb_build_object('shelf', h.shelf, 'name', h.name, 'at', h.at))
          from holdings_file h where m.id in (h.membership, h.owner)),
        'askedIn', (select jsonb_agg(jsonb_build_object('email', i.email, 'role', i.role, 'at', i.at)
            order by i.id)
          from invitation i where i.membership = m.id),
        'sentByMail', (select jsonb_agg(jsonb_build_object('what', d.name, 'publications', d.works,
            'file', d.file, 'at', d.at) order by d.id)
          from sending d where d.membership = m.id),
        'driveSet', (select jsonb_build_object('address', e.address, 'name', e.name, 'at', e.tried)
          from drive e where e.membership = m.id),
        'putOnTheDrive', (select jsonb_agg(jsonb_build_object('path', f.path, 'what', f.title,
            'at', f.put, 'ended', f.ended) order by f.id)
          from drive_file f where f.membership = m.id),
        'broughtIn', (select jsonb_agg(jsonb_build_object('files', (select jsonb_agg(f.name order by f.n)
            from brought_file f where f.brought = b.id), 'state', b.state, 'begun', b.begun,
            'ended', b.ended) order by b.id)
          from brought b where b.membership = m.id),
        'meetings', (select jsonb_agg(jsonb_build_object('at', t.at, 'place', t.place, 'calledByMe',
            t.called_by = m.id, 'iWasThere', exists (select 1 from meeting_present r
              where r.meeting = t.id and r.membership = m.id)) order by t.id)
          from meeting t where t.called_by = m.id or exists (select 1 from meeting_present r
            where r.meeting = t.id and r.membership = m.id)),
        'wroteDown', (select jsonb_agg(jsonb_build_object('what', d.what, 'words', d.words, 'at', d.at)
            order by d.id)
          from decision d where d.membership = m.id),
        'acts', (select jsonb_agg(jsonb_build_object('what', a.what, 'about', a.about, 'at', a.at)
            order by a.no)
          from action a where a.membership = m.id)))
      from membership m join grp g on g.id = m.grp where m.account = #{account}
      order by m.id
      """)
  List<String> everything(int account);

  /** As JSON, without the hash of the password. */
  @Select(
      """
      select jsonb_pretty(jsonb_build_object('email', a.email, 'zone', a.zone, 'letters', a.letters,
        'letterDays', a.letter_days, 'letterHours', a.letter_hours,
        'lettersAtOnce', a.letters_at_once, 'lettersOfNothing', a.letters_of_nothing,
        'lettersThatCameBack', a.returned, 'steward', a.steward,
        'asksForAddress', (select jsonb_agg(c.email) from address_change c where c.account = a.id)))
      from account a where a.id = #{account}
      """)
  String account(int account);

  record BroughtIn(String pid, String form) {}

  /** Texts that they brought in and that are still there. */
  @Select(
      """
      select c.pid, f.form from text_copy c join text_file f using (hash)
      join membership m on m.id = c.membership
      where m.account = #{account} and c.origin = 'brought in' and c.gone is null order by c.id
      """)
  List<BroughtIn> broughtIn(int account);

  record Content(byte[] bytes) {}

  /** Null where it was taken out meanwhile. */
  @Select(
      """
      select f.content as bytes from text_copy c join text_file f using (hash)
      join membership m on m.id = c.membership
      where m.account = #{account} and c.pid = #{pid} and c.gone is null
      """)
  Content content(int account, String pid);
}
