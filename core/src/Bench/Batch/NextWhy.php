<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** Why a painter does now what they are told to. */
enum NextWhy: string
{
    /** It is theirs, and its turn. */
    case Turn = 'turn';
    /** Their next run is wet or held; this later one of theirs is not. */
    case Ahead = 'ahead';
    /** Nothing of theirs can be done; this is another's that is not begun. */
    case ForAnother = 'for_another';
    case Waiting = 'waiting';
    /** Nothing of the batch is left for them. */
    case Through = 'through';
}
