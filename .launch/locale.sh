# Names of files are UTF-8 whatever the locale says: without one Java could not open them.
case "${LC_ALL:-${LC_CTYPE:-${LANG:-}}}" in
  *[Uu][Tt][Ff]8* | *[Uu][Tt][Ff]-8*) ;;
  *) export LC_ALL=C.UTF-8 ;;
esac
