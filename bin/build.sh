# Building the jars, when their sources have changed.

maven() { mvn -B -ntp -q -Dstyle.color=never "$@"; }

sources_hash() {
  find core stand-ins server web pom.xml -type f \
    -not -path '*/target/*' -not -path '*/node_modules/*' -not -path 'web/dist/*' \
    -not -name schema.d.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1
}

build() {
  [ -z "${LANTERN_NO_BUILD:-}" ] && ! is_packaged || return 0
  need_building
  local hash
  hash=$(sources_hash)
  if [ -f target/built ] && [ "$(cat target/built)" = "$hash" ] && [ -f "$(server_jar)" ]; then
    return 0
  fi
  mkdir -p target
  say "building (some minutes the first time, while libraries are fetched)"
  web_packages
  # Libraries that are not needed any more would stay there.
  rm -rf server/target/app
  quietly target/build.log maven -DskipTests -pl core,stand-ins,server package
  echo "$hash" >target/built
}

# The packages of the pages, when their list has changed.
web_packages() {
  local stamp=web/node_modules/.lantern
  if [ -f "$stamp" ] && cmp -s web/package-lock.json "$stamp"; then
    return 0
  fi
  say "fetching the packages of the pages"
  mkdir -p target
  (cd web && quietly ../target/npm.log npm ci --no-audit --no-fund)
  cp web/package-lock.json "$stamp"
}

# Unpacked from an archive, where nothing can be built.
is_packaged() { [ -d "$root/app" ]; }

server_jar() {
  if is_packaged; then
    echo "$root"/app/server-*-app.jar
  else
    echo "$root/server/target/app/server-$(version_here)-app.jar"
  fi
}

standins_jar() { echo "$root/stand-ins/target/stand-ins-$(version_here).jar"; }

# What is in it, as CycloneDX: the libraries of the server and those of the pages.
components() {
  need_building
  web_packages
  mkdir -p target/components
  maven org.cyclonedx:cyclonedx-maven-plugin:2.9.1:makeAggregateBom \
    -DincludeTestScope=false -DoutputDirectory="$root/target/components" -DoutputName=server
  (cd web && npm sbom --sbom-format=cyclonedx --omit=dev) >target/components/pages.json
  say "target/components/server.json and pages.json"
}

format() {
  need_building
  web_packages
  maven spotless:apply
  (cd web && npm run --silent format)
}

write_api() {
  need_building
  need_running
  maven -pl core,stand-ins,server test -Dweb.skip=true -Dtest=OpenApiTest -Dopenapi.write=true \
    -Dsurefire.failIfNoSpecifiedTests=false
  (cd web && npm run --silent types)
}

# Of this checkout.
version_here() { sed -n 's:.*<version>\(.*\)</version>.*:\1:p' "$root/pom.xml" | head -n 1; }
