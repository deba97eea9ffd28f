# Shared by bin/start and bin/test. Source it; it runs nothing.

say() { printf '\033[1m·\033[0m %s\n' "$*"; }
die() { printf '\nMill Step: %s\n' "$*" >&2; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else die "installing packages needs root. Run this once as root, or install sudo."; fi
}

# port_busy PORT: does anything listen there?
port_busy() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { local port=$1; while port_busy "$port"; do port=$((port + 1)); done; echo "$port"; }

need_space() { # need_space FOLDER MEGABYTES
  local free; free=$(df -Pm "$1" | awk 'NR==2 {print $4}')
  [ "$free" -ge "$2" ] || die "only $free MB are free for $1; at least $2 MB are needed. Make room and start again."
}

secret() { head -c 24 /dev/urandom | base64 | tr -d '/+=\n'; }
