package org.quietlantern.server.folder;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.search.Library;
import org.quietlantern.server.matching.Shelf;
import org.quietlantern.server.matching.StrategyBody;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.annotation.Transactional;

/**
 * Works that follow what is kept in a folder which the whole group sees: these themselves, {@code
 * k:ID}, or what cites any of them, {@code c:ID}. A folder that is closed or gone lists nothing.
 */
class FollowedFolder implements Shelf {
  private final String prefix;
  private final Field field;
  private final String words;
  private final FollowedFolderMapper mapper;

  FollowedFolder(String prefix, Field field, String words, FollowedFolderMapper mapper) {
    this.prefix = prefix;
    this.field = field;
    this.words = words;
    this.mapper = mapper;
  }

  @Configuration(proxyBeanMethods = false)
  static class Both {
    @Bean
    FollowedFolder keptInFolder(FollowedFolderMapper mapper) {
      return new FollowedFolder("k:", Field.ID, "what is kept in “%s”", mapper);
    }

    @Bean
    FollowedFolder citingFolder(FollowedFolderMapper mapper) {
      return new FollowedFolder("c:", Field.CITES, "what cites anything in “%s”", mapper);
    }
  }

  @Override
  public String prefix() {
    return prefix;
  }

  /** What it lists is no strategy of lines. */
  @Override
  public Optional<StrategyBody> find(int group, String name) {
    return Optional.empty();
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<Library.Listed> listed(int group, String name) {
    return Optional.ofNullable(mapper.everybodys(group, name))
        .map(
            folder -> {
              List<String> values =
                  field == Field.ID ? mapper.works(folder.id()) : mapper.dois(folder.id());
              return new Library.Listed(field, values);
            });
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<String> title(int group, String name) {
    return Optional.ofNullable(mapper.everybodys(group, name))
        .map(folder -> words.formatted(folder.name()));
  }
}
