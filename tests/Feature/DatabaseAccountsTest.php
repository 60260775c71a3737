<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * A database of the machine's own is open to root over its socket and to nobody else, whatever the machine is called:
 * a new one has root without a password at every name that the hosts file gives it.
 */
final class DatabaseAccountsTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/ordotype-accounts-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Process(['rm', '-rf', $this->folder]))->mustRun();
    }

    public function test_what_the_hosts_file_would_leave_open_is_closed(): void
    {
        $said = $this->inItsOwnHosts(
            <<<'SH'
            sql() { mariadb --defaults-file="$DIR/root.cnf" --skip-column-names --batch "$@"; }
            accounts="SELECT CONCAT(user, '@', host) FROM mysql.global_priv WHERE user IN ('', 'root') ORDER BY 1"
            mariadb --no-defaults --socket="$DIR/sock" -uroot --skip-column-names --batch -e "$accounts" >"$DIR/before"
            close_root "$DIR/root.cnf" "$PASSWORD" "$DIR/sock"
            close_root "$DIR/root.cnf" "$PASSWORD" "$DIR/sock"
            sql -e "$accounts" >"$DIR/after"
            tr '\0' ' ' <"/proc/$SERVER/cmdline" >"$DIR/arguments"
            # Over the network, from the address of the machine's name, without a password.
            mariadb --no-defaults --host="$(hostname)" --port="$PORT" --protocol=tcp -uroot -e 'select 1' >"$DIR/door" 2>&1 || echo refused >>"$DIR/door"
            SH,
        );
        $of = fn (string $name) => array_filter(explode("\n", (string) file_get_contents("$this->folder/$name")));
        self::assertContains('root@'.gethostname(), $of('before'), "the hosts file opened nothing: $said");
        self::assertSame(['root@localhost'], $of('after'));
        self::assertStringContainsString('refused', implode("\n", $of('door')));
        self::assertStringNotContainsString('not-for-others', implode("\n", $of('arguments')));
    }

    private function inItsOwnHosts(string $script): string
    {
        $port = 20_000 + random_int(0, 20_000);
        $root = dirname(__DIR__, 2);
        $user = posix_geteuid() === 0 ? 'root' : (string) get_current_user();
        file_put_contents("$this->folder/hosts", "127.0.0.1 localhost\n127.0.1.1 ".gethostname()."\n");
        file_put_contents("$this->folder/root.cnf", "[client]\nuser=root\npassword=not-for-others\nsocket=$this->folder/sock\n");
        file_put_contents("$this->folder/script", <<<SH
            set -eu
            DIR=$this->folder PORT=$port PASSWORD=not-for-others
            mount --bind "\$DIR/hosts" /etc/hosts
            . "$root/support/database.sh"
            make_database "\$DIR/data" $user >"\$DIR/install.log" 2>&1
            eval "exec \$(database_server "\$DIR/data" $user "\$PORT" "\$DIR/sock" --bind-address=127.0.1.1)" >"\$DIR/server.log" 2>&1 &
            SERVER=\$!
            trap 'kill \$SERVER; wait \$SERVER || true' EXIT
            for try in \$(seq 300); do
                mariadb --no-defaults --socket="\$DIR/sock" -uroot -e 'select 1' >/dev/null 2>&1 && break
                sleep 0.1
            done
            $script
            SH);
        // A mount of one's own takes root, or a user of one's own namespace.
        $asRoot = posix_geteuid() === 0 ? [] : ['--map-root-user'];
        $process = new Process(['unshare', '--mount', ...$asRoot, 'bash', "$this->folder/script"], timeout: 120);
        $process->run();
        self::assertTrue($process->isSuccessful(), $process->getErrorOutput());

        return $process->getOutput();
    }
}
