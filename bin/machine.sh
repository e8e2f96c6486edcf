# What has to be on the machine.

# Installs a Debian package as root; says what to do otherwise.
need_package() {
  local program=$1 package=$2
  [ -z "$(find_program "$program")" ] || return 0
  if [ "$(id -u)" != 0 ]; then
    fail "$program is missing. Install it with: sudo apt-get install $package"
  fi
  say "installing $package"
  [ -n "${apt_updated:-}" ] || quietly /tmp/lantern-apt.log apt-get update
  apt_updated=1
  quietly /tmp/lantern-apt.log env DEBIAN_FRONTEND=noninteractive \
    apt-get install -y --no-install-recommends "$package"
}

# Debian keeps PostgreSQL's server programs in a versioned folder that is not on PATH.
find_program() {
  command -v "$1" 2>/dev/null || ls -1 /usr/lib/postgresql/*/bin/"$1" 2>/dev/null | tail -n 1 || true
}

need_building() {
  need_package javac openjdk-17-jdk-headless
  need_package mvn maven
  need_package node nodejs
  need_package npm npm
}

need_running() {
  need_package java openjdk-17-jre-headless
  need_package initdb postgresql
  need_package curl curl
}

need_browser() {
  need_package chromium chromium
  # For the site that docs/installing.md offers.
  need_package nginx nginx-light
  need_package openssl openssl
}

# A port of 127.0.0.1 that nobody uses, at or after the one given.
free_port() {
  local port=$1
  while (: <"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do
    port=$((port + 1))
  done
  echo "$port"
}
