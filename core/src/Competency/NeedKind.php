<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** What a permit can ask for; those of a list in a requirement carry the id of what is asked. */
enum NeedKind: string
{
    case Lesson = 'lesson';
    case Check = 'check';
    case Rehearsal = 'rehearsal';
    case Practice = 'practice';
    case Guided = 'guided';
    case Assessment = 'assessment';
    case Prerequisite = 'prerequisite';
    case SignOff = 'sign_off';
    /** Nothing is missing but time: a retake opens then. */
    case Wait = 'wait';
}
