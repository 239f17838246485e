/** The page forbids code made from text (content security policy); Zod would probe for it otherwise. */
import { z } from 'zod';

z.config({ jitless: true });
