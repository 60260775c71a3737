<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** The sides a piece is looked at from. */
enum View: string
{
    case Front = 'front';
    case Back = 'back';
    case Left = 'left';
    case Right = 'right';
    case Top = 'top';
    case Under = 'under';

    /** Whether a check stops there; the others are seen while the model is turned. */
    public function isStop(): bool
    {
        return match ($this) {
            self::Front, self::Back, self::Top, self::Under => true,
            self::Left, self::Right => false,
        };
    }

    /** Whether outlines are drawn in it, and so pictures. */
    public function isOutlined(): bool
    {
        return match ($this) {
            self::Front, self::Back => true,
            self::Left, self::Right, self::Top, self::Under => false,
        };
    }

    /** @return list<string> words of the views that outlines are drawn in */
    public static function outlined(): array
    {
        return array_map(fn (self $v) => $v->value, self::drawn());
    }

    /** @return list<self> those that outlines are drawn in, and so pictures */
    public static function drawn(): array
    {
        return array_values(array_filter(self::cases(), fn (self $v) => $v->isOutlined()));
    }
}
