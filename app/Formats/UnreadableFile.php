<?php

declare(strict_types=1);

namespace App\Formats;

use RuntimeException;

/** A file that is named but cannot be read. */
final class UnreadableFile extends RuntimeException
{
}
