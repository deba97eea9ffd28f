<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/**
 * One question that the core answers. The readonly properties of the class are its typed input;
 * `compute` gives its typed answer.
 */
interface Operation
{
    /**
     * Reads the input as it crosses the JSON border.
     *
     * @throws CoreException when a value is missing, not finite, out of range or unreadable
     */
    public static function fromFields(Fields $fields): static;

    /** @throws CoreException when the question has no answer */
    public function compute(): Result;
}
