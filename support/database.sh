# How a database of the machine's own is made and closed; used by ./ordotype and by its test.
# shellcheck shell=bash

# The tables of the database itself, in an empty folder.
make_database() { # folder, system user
    mariadb-install-db --no-defaults --datadir="$1" --user="$2" --auth-root-authentication-method=normal --skip-test-db
}

# A server on loopback, in the foreground.
database_server() { # folder, system user, port, socket, further options
    local data=$1 user=$2 port=$3 socket=$4
    shift 4
    printf '%q ' mariadbd --no-defaults --user="$user" --datadir="$data" --bind-address=127.0.0.1 --port="$port" --socket="$socket" \
        --pid-file="$data/mariadbd.pid" --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
        --innodb-buffer-pool-size=128M --performance-schema=OFF \
        --sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,ONLY_FULL_GROUP_BY \
        --default-time-zone=+00:00 --log-bin-trust-function-creators=1 "$@"
}

# The first time root has no password; afterwards only the one in the file is known. Passwords go through standard input:
# the arguments of a process are for everybody on the machine to read.
close_root() { # file with root's name, password and socket; the password; the socket
    mariadb --defaults-file="$1" -e 'select 1' >/dev/null 2>&1 ||
        printf "ALTER USER 'root'@'localhost' IDENTIFIED BY '%s';\n" "$2" | mariadb --no-defaults --socket="$3" -uroot
    # What a new database has besides depends on the machine's hosts file: root at its name, and anybody at all.
    mariadb --defaults-file="$1" --skip-column-names --batch -e \
        "SELECT CONCAT('DROP USER ', QUOTE(user), '@', QUOTE(host), ';') FROM mysql.global_priv
        WHERE user IN ('', 'root') AND NOT (user = 'root' AND host = 'localhost')" | mariadb --defaults-file="$1"
}
