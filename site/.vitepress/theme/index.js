import DefaultTheme from "vitepress/theme";
import "./look.css";

export default DefaultTheme;
