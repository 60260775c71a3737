# How a process is known, started and ended; used by ./ordotype and by the `run` of each service. Wants RUN and LOG.
# shellcheck shell=bash

# A process is known by its number and the moment it began (field 22 of /proc/N/stat, in ticks since boot): after a power
# cut or a long time a number alone may be somebody else's, and nobody else's process is ever signalled.
# One that has ended and was not yet taken note of (state Z) is gone.
began() { sed -n 's/^.*) \([^Z]\)/\1/p' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20; }
pid_of() { [ -f "$RUN/$1.pid" ] && cut -d' ' -f1 "$RUN/$1.pid"; }
running() {
    local pid="" since=""
    [ -f "$RUN/$1.pid" ] || return 1
    read -r pid since <"$RUN/$1.pid" || [ -n "$pid" ] || return 1
    [ -n "$since" ] && [ "$(began "$pid")" = "$since" ]
}
note() { printf '%s %s\n' "$2" "$(began "$2")" >"$RUN/$1.pid"; }

# Workers that outlived their master still hold its port: they are in the session that it led, whose number nobody else
# gets while one of them lives.
bury() {
    local pid
    pid=$(pid_of "$1") && [ -n "$pid" ] && [ -z "$(began "$pid")" ] || return 0
    pkill -KILL -s "$pid" 2>/dev/null && sleep 0.3
    rm -f "$RUN/$1.pid"
}

halt() {
    local pid left=150
    if running "$1"; then
        pid=$(pid_of "$1")
        kill "$pid" 2>/dev/null || true
        while running "$1"; do
            left=$((left - 1))
            [ $left -gt 0 ] || { kill -9 "$pid" 2>/dev/null || true; break; }
            sleep 0.1
        done
    fi
    bury "$1"
    rm -f "$RUN/$1.pid"
}

# The `run` of a service says who it is before it becomes the program. One of that name that its supervisor lost is
# ended first: two of them would have the same port.
begin() {
    halt "$1"
    note "$1" $$
}

# The last three of a log that has grown. Whoever writes it goes on in the same file, so it is copied and emptied.
rotate() {
    [ "$(stat -c %s "$1")" -gt 5000000 ] || return 0
    [ -f "$1.1" ] && mv -f "$1.1" "$1.2"
    cp -p "$1" "$1.1" && : >"$1"
}
