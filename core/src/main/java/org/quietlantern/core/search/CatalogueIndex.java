package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.MultiReader;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.store.Directory;
import org.apache.lucene.store.FSDirectory;

/**
 * The searchable copy of a catalogue. It can be deleted at any time: its commits remember whose
 * copy it is and up to which change it goes, and whoever feeds it asks {@link #number} where to go
 * on.
 *
 * <p>What a group alone has stands in a part of its own. A group is answered from the shared part
 * and its own together, as if they were one; nothing of another group's is ever opened for it.
 */
public final class CatalogueIndex implements AutoCloseable {
  /** The form of the documents; a copy in another form is made anew. */
  private static final String FORM = "7";

  private static final String OWN = "own";

  static {
    IndexSearcher.setMaxClauseCount(32_768);
  }

  private final String catalogue;
  private final Opening directories;
  private final IndexPart shared;
  private final Map<Integer, IndexPart> own = new TreeMap<>();
  private final Columns columns = new Columns();
  private final PostingsCache kept = new PostingsCache();

  /** What groups look at now, made when they ask; {@link IndexEntry#SHARED} for all without own. */
  private final Map<Integer, IndexState> states = new HashMap<>();

  private long number;

  private CatalogueIndex(Opening directories, String catalogue) throws IOException {
    this.catalogue = catalogue + "/" + FORM;
    this.directories = directories;
    this.shared = new IndexPart(directories.open(""), this.catalogue);
    number = shared.number();
    for (String group : shared.committed(OWN).split(" ")) {
      if (!group.isEmpty()) {
        number = Math.min(number, part(Integer.parseInt(group)).number());
      }
    }
  }

  /**
   * Opens or makes the copy in a folder.
   *
   * @param catalogue names the original; a copy of another original is emptied
   */
  public static CatalogueIndex open(Path folder, String catalogue) {
    return open(part -> FSDirectory.open(folder.resolve(part)), catalogue);
  }

  static CatalogueIndex open(Opening directories, String catalogue) {
    try {
      return new CatalogueIndex(directories, catalogue);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Makes a directory to keep a part of the copy in; the shared part has no name. */
  interface Opening {
    Directory open(String part) throws IOException;
  }

  private IndexPart part(int group) throws IOException {
    if (group == IndexEntry.SHARED) {
      return shared;
    }
    IndexPart part = own.get(group);
    if (part == null) {
      String name = OWN + "-" + group;
      part = new IndexPart(directories.open(name), catalogue + "/" + name);
      own.put(group, part);
    }
    return part;
  }

  private List<IndexPart> parts() {
    return Stream.concat(own.values().stream(), Stream.of(shared)).toList();
  }

  /** The last change taken in. */
  public synchronized long number() {
    return number;
  }

  /** A publication that could not be taken in, and why. */
  public record SetAside(int id, String why) {}

  /**
   * Takes in changes up to {@code upTo}; seen by every snapshot taken from now on. Repeating it
   * changes nothing. What cannot be taken in is set aside, the rest goes on.
   */
  public synchronized List<SetAside> apply(
      Collection<IndexEntry> put, Collection<Integer> remove, long upTo) {
    List<SetAside> aside = new ArrayList<>();
    try {
      for (IndexPart part : parts()) {
        for (int id : remove) {
          part.remove(id);
        }
      }
      for (IndexEntry entry : put) {
        part(entry.group()).put(entry).ifPresent(why -> aside.add(new SetAside(entry.id(), why)));
      }
      number = upTo;
      refresh();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return aside;
  }

  /** Makes what was taken in outlive the process; the shared part last, which names the others. */
  public synchronized void commit() {
    String groups = own.keySet().stream().map(String::valueOf).collect(Collectors.joining(" "));
    try {
      for (IndexPart part : parts()) {
        part.commit(number, Map.of(OWN, groups));
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Forgets everything; the next changes to take in start from the first. */
  public synchronized void empty() {
    try {
      for (IndexPart part : parts()) {
        part.empty();
      }
      number = 0;
      refresh();
      commit();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Whoever looks at a part that is as it was goes on with what was found there. */
  private void refresh() throws IOException {
    boolean all = shared.refresh();
    for (Map.Entry<Integer, IndexPart> part : own.entrySet()) {
      if (part.getValue().refresh() || all) {
        forget(part.getKey());
      }
    }
    if (all) {
      forget(IndexEntry.SHARED);
    }
    states.replaceAll((group, state) -> state.upTo(number));
  }

  private void forget(int group) throws IOException {
    IndexState state = states.remove(group);
    if (state != null) {
      state.reader().decRef();
    }
  }

  /** Says of every document, of all parts, which publication it is (row number) in which state. */
  public synchronized void digests(Digests each) {
    try {
      for (IndexPart part : parts()) {
        part.digests(each);
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Takes note of a document. */
  public interface Digests {
    void add(int id, long digest);
  }

  /** Keeps nothing of what was found so far; only measurements need it. */
  public void forgetFound() {
    kept.forgetAll();
  }

  /** The present state of what is everybody's; to be closed by the caller. */
  public Snapshot snapshot() {
    return snapshot(IndexEntry.SHARED);
  }

  /** The present state as a group (its row number) sees it; to be closed by the caller. */
  public synchronized Snapshot snapshot(int group) {
    try {
      int seen = own.containsKey(group) ? group : IndexEntry.SHARED;
      IndexState state = states.get(seen);
      if (state == null) {
        state = new IndexState(reader(seen), columns, kept, number);
        states.put(seen, state);
      }
      state.reader().incRef();
      return new Snapshot(state);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Held by whoever asked until it is given back. */
  private IndexReader reader(int group) throws IOException {
    if (group == IndexEntry.SHARED) {
      shared.reader().incRef();
      return shared.reader();
    }
    return new MultiReader(
        new IndexReader[] {shared.reader(), own.get(group).reader()}, /* closeSubReaders= */ false);
  }

  /**
   * Takes nothing in any more and lets the folder go, in whatever condition it is. What was taken
   * in can still be searched until it is closed.
   */
  public synchronized void retire() {
    parts().forEach(IndexPart::retire);
  }

  @Override
  public synchronized void close() {
    try {
      for (int group : List.copyOf(states.keySet())) {
        forget(group);
      }
      for (IndexPart part : parts()) {
        part.close();
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
