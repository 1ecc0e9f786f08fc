# Sourced by ./start and ./test: checks Node and installs the npm packages that the lock names, when they are not there yet.

if ! command -v node >/dev/null 2>&1; then
  echo "Oxlip needs Node.js 20.19 or newer, and there is none. Install Node 20 (for instance from nodejs.org), then run this again." >&2
  exit 1
fi
if ! node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)'; then
  echo "Oxlip needs Node.js 20.19 or newer; this is $(node --version). Install Node 20, then run this again." >&2
  exit 1
fi

mkdir -p .oxlip
stamp=$(cat package.json package-lock.json | sha256sum)
if [ ! -f node_modules/.oxlip-stamp ] || [ "$(cat node_modules/.oxlip-stamp)" != "$stamp" ]; then
  free=$(df -Pm . | awk 'NR==2 {print $4}')
  if [ "$free" -lt 1200 ]; then
    echo "The disk is nearly full: $free MB free here, and the packages need about 1200 MB. Free some space, then run this again." >&2
    exit 1
  fi
  echo "Installing packages (a minute or three, the first time only) ..."
  # A lock made where the registry serves one platform only lacks the others' optional packages, which npm ci refuses; npm install keeps the locked versions.
  if ! PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci >.oxlip/npm.log 2>&1 && ! PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm install --no-save >>.oxlip/npm.log 2>&1; then
    tail -n 20 .oxlip/npm.log >&2
    echo "The packages could not be installed; the whole story is in .oxlip/npm.log. Is the package registry reachable?" >&2
    exit 1
  fi
  echo "$stamp" >node_modules/.oxlip-stamp
fi
