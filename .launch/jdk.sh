# Finds a JDK of at least a version: JAVA_HOME, the javac on the path, then the usual places of the systems.
find_jdk() {
  local wanted=$1 candidate version
  local places=("${JAVA_HOME:-}")
  if command -v javac >/dev/null 2>&1; then
    places+=("$(dirname "$(dirname "$(readlink -f "$(command -v javac)" 2>/dev/null || command -v javac)")")")
  fi
  shopt -s nullglob
  places+=(/usr/lib/jvm/* /opt/java/* /opt/jdk* /Library/Java/JavaVirtualMachines/*/Contents/Home "$HOME"/.jdks/* "$HOME"/.sdkman/candidates/java/*)
  shopt -u nullglob
  for candidate in "${places[@]}"; do
    [ -n "$candidate" ] && [ -x "$candidate/bin/javac" ] && [ -f "$candidate/release" ] || continue
    version=$(sed -n 's/^JAVA_VERSION="\([0-9]*\).*/\1/p' "$candidate/release")
    if [ -n "$version" ] && [ "$version" -ge "$wanted" ]; then
      echo "$candidate"
      return 0
    fi
  done
  return 1
}
