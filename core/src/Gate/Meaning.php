<?php

declare(strict_types=1);

namespace MillStep\Core\Gate;

/** What a badge at a reader comes to. */
enum Meaning
{
    /** The turn of whoever has the machine ends: by themselves. */
    case Finish;
    /** It ends because it is handed over. */
    case HandOver;
    /** It ends because somebody who teaches ends it. */
    case EndByInstructor;
    /** Somebody who teaches is on the floor. */
    case Present;
    /** Somebody else has the machine, and keeps it. */
    case InUse;
    /** There is nothing to finish any more. */
    case NothingToFinish;
    /** The access decision is asked, and alone can give power. */
    case Decide;
}
