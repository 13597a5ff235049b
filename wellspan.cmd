@echo off
rem Starts Wellspan: the window for "demo", "open" or no words, the command line for everything else.
setlocal enabledelayedexpansion
set "HOME_DIR=%~dp0"
set "JDK="
for %%D in ("%JAVA_HOME%" "%ProgramFiles%\Java\jdk-25*" "%ProgramFiles%\Eclipse Adoptium\jdk-25*" "%ProgramFiles%\Microsoft\jdk-25*" "%USERPROFILE%\.jdks\*25*") do (
  if not defined JDK for /d %%E in (%%D) do if exist "%%~E\release" (
    findstr /r /c:"^JAVA_VERSION=.2[5-9]" /c:"^JAVA_VERSION=.[3-9][0-9]" "%%~E\release" >nul && set "JDK=%%~E"
  )
)
if not defined JDK (
  echo Wellspan needs a JDK 25 or newer. Install one, or set JAVA_HOME to it. 1>&2
  exit /b 2
)
set "STALE="
if not exist "%HOME_DIR%target\built" set "STALE=1"
if not defined STALE (
  powershell -NoProfile -Command "$b=(Get-Item '%HOME_DIR%target\built').LastWriteTime; $n=Get-ChildItem '%HOME_DIR%pom.xml','%HOME_DIR%core\src\main','%HOME_DIR%exchange\src\main','%HOME_DIR%cli\src\main','%HOME_DIR%app\src\main' -Recurse -File | Where-Object LastWriteTime -gt $b | Select-Object -First 1; if ($n) { exit 1 }" || set "STALE=1"
)
if defined STALE (
  echo Building Wellspan ... 1>&2
  pushd "%HOME_DIR%"
  set "JAVA_HOME=%JDK%"
  if not exist target mkdir target
  call mvn -q -ntp -Dmaven.test.skip=true -Dspotless.check.skip=true -pl core,exchange,cli,app package > target\build.log 2>&1 || (
    type target\build.log 1>&2
    popd
    exit /b 2
  )
  echo built> target\built
  del /q target\*.aot 2>nul
  popd
)
set "WINDOW="
if "%~1"=="" set "WINDOW=1"
if "%~1"=="demo" set "WINDOW=1"
if "%~1"=="open" set "WINDOW=1"
if defined WINDOW (
  set "CACHE=-XX:AOTCacheOutput"
  if exist "%HOME_DIR%target\window.aot" set "CACHE=-XX:AOTCache"
  "%JDK%\bin\java" !CACHE!="%HOME_DIR%target\window.aot" -Xlog:disable -Xmx4g --enable-native-access=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow -Dwellspan.demo="%HOME_DIR%demo" -Dwellspan.own="%HOME_DIR%target" -cp "%HOME_DIR%app\target\app-0.1.0.jar;%HOME_DIR%app\target\lib\*" wellspan.app.Main %*
) else (
  set "CACHE=-XX:AOTCacheOutput"
  if exist "%HOME_DIR%target\cli.aot" set "CACHE=-XX:AOTCache"
  "%JDK%\bin\java" !CACHE!="%HOME_DIR%target\cli.aot" -Xlog:disable --sun-misc-unsafe-memory-access=allow --enable-native-access=ALL-UNNAMED -cp "%HOME_DIR%cli\target\cli-0.1.0.jar;%HOME_DIR%cli\target\lib\*" wellspan.cli.Main %*
)
exit /b %ERRORLEVEL%
