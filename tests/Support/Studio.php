<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** Studios as earlier versions left them, from copies of their databases. */
final class Studio
{
    /** The test database as the named file has it; its tables are those of then. */
    public static function fromDump(string $name): Connection
    {
        $database = DB::connection('migrate');
        $database->getSchemaBuilder()->dropAllTables();
        $config = $database->getConfig();
        $client = new Process(
            [
                'mariadb',
                '--no-defaults',
                "--host={$config['host']}",
                "--port={$config['port']}",
                "--user={$config['username']}",
                $config['database'],
            ],
            env: ['MYSQL_PWD' => $config['password']],
            input: (string) gzdecode((string) file_get_contents(dirname(__DIR__)."/Fixtures/$name.sql.gz")),
        );
        $client->setTimeout(120)->mustRun();

        return $database;
    }
}
