<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Message;
use MillStep\Core\Reference\ThreadTable;

/** What somebody may have meant who wrote something else where a size is asked for. */
final class SizeMeant
{
    private function __construct()
    {
    }

    /** @param  string  $plain  the same, as SizeWords has it */
    public static function by(string $said, string $plain): Message
    {
        $terms = ['said' => Message::quote($said)];
        $number = '[\d.,\/\-]+(?:\s*(?:mm|in))?';
        if (preg_match('/^#\s*\d+$/', $plain) === 1) {
            return Message::of('measure.size.no_number', $terms);
        }
        if (preg_match('~^(?:\d+[\s-]+)?\d+\s*/\s*\d+(?: in)?$~', $plain) === 1) {
            return Message::of('measure.size.no_fraction', $terms);
        }
        $thread = ThreadTable::shipped()->meant($said);
        if ($thread !== null) {
            return Message::of('measure.size.thread', [...$terms, 'thread' => $thread->designation, 'major_mm' => $thread->major->inMm()]);
        }
        if (preg_match("/^($number)\\s*(?:\\+\\/?-|[±+])/u", $plain, $m) === 1
            || preg_match("/^($number)\\s*\\(?-\\s*[\\d.,]+\\s*\\)?$/", $plain, $m) === 1) {
            return Message::of('measure.size.with_tolerance', [...$terms, 'size' => trim($m[1])]);
        }
        if (preg_match("/^($number)\\s*(?:[a-z]{1,2}\\d{1,2})$/", $plain, $m) === 1) {
            return Message::of('measure.size.with_fit', [...$terms, 'size' => trim($m[1])]);
        }
        if (preg_match("/^$number\\s*[x×*]\\s*$number/u", $plain) === 1) {
            return Message::of('measure.size.two', $terms);
        }

        return Message::of('measure.size.unknown', $terms);
    }
}
