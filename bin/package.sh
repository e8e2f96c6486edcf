# One archive that runs where there are only Java and PostgreSQL.

# The same commit gives the same bytes: names in order, one time for all, nobody's ids.
package() {
  local name stage archive when
  # Nothing of an earlier build: no class that is not there any more.
  [ -n "${LANTERN_NO_BUILD:-}" ] || rm -rf "$root"/{core,server}/target/{classes,*.jar} "$root/target/built"
  build
  name=quiet-lantern-$(version)
  stage=$root/target/package/$name
  archive=$root/target/package/$name.tar.gz
  rm -rf "$root/target/package"
  mkdir -p "$stage/docs"
  cp -r "$root/server/target/app" "$stage/app"
  mkdir "$stage/bin"
  cp "$root"/bin/{say,machine,build,postgres,run,serve,load,check,backup}.sh "$stage/bin/"
  cp "$root/lantern" "$root/LICENSE" "$root/NOTICE" "$root/CHANGELOG.md" "$root/SECURITY.md" "$stage/"
  cp "$root"/docs/{installing,settings,formats,security}.md "$stage/docs/"
  mkdir "$stage/install"
  cp "$root"/install/{quiet-lantern.service,nginx.conf} "$stage/install/"
  [ ! -d "$root/target/components" ] || cp -r "$root/target/components" "$stage/components"
  find "$stage" -type d -exec chmod 755 {} +
  find "$stage" -type f -exec chmod 644 {} +
  chmod 755 "$stage/lantern"
  (cd "$stage" && find . -type f ! -name SHA256SUMS | LC_ALL=C sort | xargs sha256sum >SHA256SUMS && chmod 644 SHA256SUMS)
  when=@$(git -C "$root" log -1 --format=%ct 2>/dev/null || echo 0)
  tar -C "$root/target/package" --sort=name --mtime="$when" --owner=0 --group=0 --numeric-owner -cf - "$name" \
    | gzip -n >"$archive"
  deb "$stage" "${when#@}"
  say "$archive"
}

# The same for Debian's own tools: with a user, the folders and the service.
deb() {
  local stage=$1 when=$2 control=$root/target/package/control file
  file=$root/target/package/quiet-lantern_$(version)_all.deb
  cp -r "$root/install/deb" "$control"
  chmod 755 "$control"/p*
  (cd "$root" && mvn -B -ntp -q -pl server -Pdeb jdeb:jdeb -Ddeb.stage="$stage" -Ddeb.control="$control" \
    -Ddeb.file="$file" -Ddeb.when="${when}000") || fail "no .deb was made"
  rm -r "$control"
  say "$file"
}
