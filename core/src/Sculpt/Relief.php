<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** The words for the form of an area's surface. */
enum Relief: string
{
    case HardEdges = 'hard_edges';
    case SoftFolds = 'soft_folds';
    case DeepRecesses = 'deep_recesses';
    case FineTexture = 'fine_texture';
    case OpenPanel = 'open_panel';
    case Organic = 'organic';
    case Rivets = 'rivets';
    case TinyDetail = 'tiny_detail';
    case Joints = 'joints';
    case Ground = 'ground';
    case Rim = 'rim';
}
