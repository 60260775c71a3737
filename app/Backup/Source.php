<?php

declare(strict_types=1);

namespace App\Backup;

use Generator;

/** A studio as records: its head, then tables with their rows, then files with their bytes, then the end. */
interface Source
{
    /** JSON: what the whole is held against (`Head`). */
    public const HEAD = 'h';

    /** JSON: {table, columns}; its rows follow. */
    public const TABLE = 't';

    /** JSON: a list of rows, each a list of values in the order of the columns: text, null, or {base64}. */
    public const ROWS = 'r';

    /** JSON: {path}; its bytes follow. */
    public const FILE = 'f';

    public const BYTES = 'b';

    public const END = 'e';

    /** @return Generator<string, string> bytes by kind */
    public function records(): Generator;
}
