# Shared by bin/start and bin/test: brings in what is missing, says what it
# does, and passes over what is there already. Sourced with ROOT set.

say() { printf '· %s\n' "$*"; }

fail() {
  printf 'Up Tack: %s\n' "$*" >&2
  exit 1
}

# Runs a command quietly; shows what it printed only when it failed.
quietly() {
  local log
  log=$(mktemp)
  if ! "$@" >"$log" 2>&1; then
    tail -n 40 "$log" >&2
    rm -f "$log"
    return 1
  fi
  rm -f "$log"
}

check_tools() {
  command -v ruby >/dev/null || fail "Ruby is missing; install ruby 3.1 or newer (Debian: apt-get install ruby-full)."
  ruby -e 'exit((RUBY_VERSION.split(".").map(&:to_i) <=> [3, 1]) >= 0)' ||
    fail "Ruby 3.1 or newer is needed; this is $(ruby -e 'print RUBY_VERSION')."
  command -v bundle >/dev/null || fail "Bundler is missing (Debian: apt-get install bundler)."
  command -v node >/dev/null || fail "Node is missing; install Node 20 or newer."
  [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "Node 20 or newer is needed; this is $(node --version)."
  command -v npm >/dev/null || fail "npm is missing; it comes with Node."
}

# install_debian PACKAGE...
install_debian() {
  command -v apt-get >/dev/null || fail "$* must be installed, and this is no Debian system; install it and start again."
  local sudo=""
  if [ "$(id -u)" -ne 0 ]; then
    command -v sudo >/dev/null || fail "$* must be installed; run as root: apt-get install $*"
    sudo="sudo"
  fi
  say "Installing $* (Debian packages)"
  quietly $sudo apt-get update || true
  quietly $sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "$@" ||
    fail "$* could not be installed; try: apt-get install $*"
}

need_headers() {
  local missing=()
  command -v cc >/dev/null && command -v make >/dev/null || missing+=(build-essential)
  ruby -rrbconfig -e 'exit File.exist?(File.join(RbConfig::CONFIG["rubyhdrdir"].to_s, "ruby.h"))' || missing+=(ruby-dev)
  printf '#include <sqlite3.h>\n' | cc -E -x c - >/dev/null 2>&1 || missing+=(libsqlite3-dev)
  ruby -ryaml -e '' 2>/dev/null || missing+=(libyaml-dev)
  [ "${#missing[@]}" -eq 0 ] || install_debian "${missing[@]}"
}

# A stamp holds the digest of what a step was made from; the step is passed over
# while it still matches.
stamp_matches() { [ -f "$ROOT/tmp/stamps/$1" ] && [ "$(cat "$ROOT/tmp/stamps/$1")" = "$2" ]; }
keep_stamp() { mkdir -p "$ROOT/tmp/stamps" && printf '%s' "$2" >"$ROOT/tmp/stamps/$1"; }
digest() { cat "$@" | sha256sum | cut -d ' ' -f 1; }

# set_up NAME WITHOUT-GROUPS
# Gems are compiled while the interface is built: neither needs the other.
set_up() {
  (install_packages; build_interface) &
  local interface=$!
  (install_gems "$1" "$2") || {
    kill "$interface" 2>/dev/null
    exit 1
  }
  wait "$interface" || exit 1
}

# install_gems NAME WITHOUT-GROUPS
install_gems() {
  local sum
  sum=$(digest "$ROOT/Gemfile.lock")$(ruby -e 'print RUBY_VERSION')
  # Those of the tests hold all that running needs.
  if [ -d "$ROOT/vendor/bundle" ]; then
    stamp_matches "gems-$1" "$sum" && return
    [ "$1" = dev ] || ! stamp_matches gems-test "$sum" || return 0
    ! stamp_matches gems-dev "$sum" || return 0
  fi
  need_headers
  say "Installing gems (two to five minutes the first time)"
  BUNDLE_WITHOUT="$2" BUNDLE_JOBS="$(nproc)" BUNDLE_RETRY=2 quietly bundle install || fail "The gems could not be installed."
  ruby "$ROOT/bin/support/gem_sums.rb" || exit 1
  keep_stamp "gems-$1" "$sum"
}

install_packages() {
  local sum
  sum=$(digest "$ROOT/ui/package-lock.json")
  stamp_matches packages "$sum" && [ -d "$ROOT/ui/node_modules" ] && return
  say "Installing npm packages"
  (cd "$ROOT/ui" && quietly npm ci --no-audit --no-fund) || fail "The npm packages could not be installed."
  keep_stamp packages "$sum"
}

build_interface() {
  local sum
  sum=$(cd "$ROOT" && find ui/src ui/index.html ui/public ui/vite.config.ts ui/package-lock.json web/openapi.yaml -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum | cut -d ' ' -f 1)
  stamp_matches interface "$sum" && [ -f "$ROOT/ui/dist/index.html" ] && return
  say "Building the interface"
  (cd "$ROOT/ui" && quietly npm run --silent build) || fail "The interface could not be built."
  keep_stamp interface "$sum"
}
